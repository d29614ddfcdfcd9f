import type { Supply } from '../stash/supply';
import type { Stock } from '../stock/stock';
import { ciede2000, labOf } from '../colour/lab';
import { inPeace, isIdle } from '../stash/idle';
import { inStash } from '../stash/standing';
import { isTooMany } from '../stock/spares';
import { isUnused, useOf } from '../stock/usage';

/** A supply as sorting out sees it. Times are ISO 8601. */
export type SortSubject = Pick<
  Supply,
  'id' | 'kind' | 'form' | 'name' | 'maker' | 'hex' | 'createdAt' | 'facts'
> &
  Partial<Pick<Supply, 'familyOverride'>> & {
    readonly stock: Pick<Stock, 'items' | 'left' | 'uses' | 'used' | 'lastUsedAt'> &
      Partial<Pick<Stock, 'parts'>>;
  };

/** Why a thing deserves a second look; the more, the sooner. */
export type Doubt =
  'never opened' | 'never used' | 'idle a year' | 'doubled' | 'half-liked' | 'retired' | 'on trial';
export const VERDICTS = ['keep', 'use once', 'pass on', 'let go'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** Two things of one form that nobody tells apart are doubles. */
const DOUBLE_DELTA_E = 1.5;

/** Ids of things that have a twin of the same kind and form within a barely visible difference. */
export function doublesOf(subjects: readonly SortSubject[]): Set<string> {
  const byForm = new Map<string, SortSubject[]>();
  for (const subject of subjects) {
    if (subject.familyOverride === 'none') continue;
    const key = `${subject.kind} ${subject.form}`;
    const pile = byForm.get(key);
    if (pile) pile.push(subject);
    else byForm.set(key, [subject]);
  }
  const doubles = new Set<string>();
  for (const pile of byForm.values()) {
    const sorted = pile.map((item) => ({ item, lab: labOf(item.hex) })).sort((p, q) => p.lab.l - q.lab.l);
    sorted.forEach((a, i) => {
      for (let k = i + 1; k < sorted.length; k++) {
        const b = sorted[k];
        // Lightness alone sets a lower bound on the difference, so the rest need not be compared.
        if (!b || b.lab.l - a.lab.l > 2 * DOUBLE_DELTA_E) break;
        if (ciede2000(a.lab, b.lab) > DOUBLE_DELTA_E) continue;
        doubles.add(a.item.id);
        doubles.add(b.item.id);
      }
    });
  }
  return doubles;
}

/** What speaks against keeping a thing. A collection is left in peace: nothing does. `now` is ms since 1970. */
function doubtsOf(subject: SortSubject, doubles: ReadonlySet<string>, now: number): Doubt[] {
  const { facts, id } = subject;
  if (inPeace(subject)) return [];
  const idle = isIdle(subject, now);
  const unused = isUnused(subject);
  return [
    ...(unused && !facts.openedOn ? (['never opened'] as const) : []),
    ...(unused && facts.openedOn ? (['never used'] as const) : []),
    ...(!unused && idle ? (['idle a year'] as const) : []),
    ...((doubles.has(id) && !facts.spares) || isTooMany(subject) ? (['doubled'] as const) : []),
    ...((facts.grade && facts.grade !== 'best') || facts.whyUnused === 'do not like it'
      ? (['half-liked'] as const)
      : []),
    ...(facts.status === 'retired' ? (['retired'] as const) : []),
    ...(facts.status === 'trial' ? (['on trial'] as const) : []),
  ];
}

/** A pile in the order it should be gone through: the most doubtful first. Things that are gone are left out. */
export function sortOutOrder<T extends SortSubject>(
  pile: readonly T[],
  now: number,
): { item: T; doubts: Doubt[] }[] {
  const here = pile.filter(inStash);
  const doubles = doublesOf(here);
  return here
    .map((item) => ({ item, doubts: doubtsOf(item, doubles, now) }))
    .sort(
      (p, q) =>
        q.doubts.length - p.doubts.length ||
        useOf(p.item) - useOf(q.item) ||
        (p.item.id < q.item.id ? -1 : 1),
    );
}
