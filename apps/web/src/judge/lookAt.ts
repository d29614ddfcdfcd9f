import {
  capVerdict,
  dueOnes,
  forgottenTen,
  formOf,
  isOnWall,
  KIND_DEFINITIONS,
  KINDS,
  misfits,
  missingPartners,
  neverUsed,
  outOfSight,
  seasonOf,
  seasonState,
  type CapVerdict,
  type Lodger,
} from '@red-shelf/core';
import type { Preferences, SupplyView } from '@red-shelf/contract';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { livesIn, mainOf } from '../api/contents';
import type { Stash } from '../api/queries';
import { sayLastUsed } from '../copy/history';
import { sayWhat, unitTitle } from '../copy/supply';
import { sayLeftOver } from '../copy/reasons';
import { many } from '../copy/words';
import type { Where } from '../api/where';
import { eachOnce } from './eachOnce';

/** One thing worth a look, and why. */
export interface Look {
  readonly supply: SupplyView;
  readonly reason: string;
}
/** A limit that is passed, and who might leave. */
export interface OverCap {
  readonly what: string;
  /** The kind or the unit that has the limit. */
  readonly of: { readonly kind?: string; readonly unitId?: string };
  readonly verdict: CapVerdict<SupplyView>;
}
/** Everything the app would like a person to look at, by nudge. */
export interface Looks {
  readonly due: readonly (Look & { readonly why: 'trial' | 'dormant' })[];
  /** Trials and sleepers whose day has not come. */
  readonly waiting: number;
  readonly forgotten: readonly Look[];
  readonly caps: readonly OverCap[];
  readonly partners: readonly Look[];
  readonly unused: readonly Look[];
  readonly seasons: readonly Look[];
  readonly misfits: readonly Look[];
}

const day = (date: string): string => format(parseISO(date), 'd MMM yyyy');

/** Things over a limit: of a kind, or of a unit. `coming` are about to be added to the kind or the unit asked for. */
export function overCaps(
  { supplies, wall }: Stash,
  { caps }: Preferences,
  now: number,
  coming: { readonly kind?: string; readonly unitId?: string } = {},
): OverCap[] {
  const kinds = KINDS.flatMap((kind) => {
    const cap = caps[kind];
    if (cap === undefined) return [];
    const pile = supplies.filter((supply) => supply.kind === kind);
    const verdict = capVerdict(pile, cap, coming.kind === kind ? 1 : 0, now);
    return [{ what: KIND_DEFINITIONS[kind].plural, of: { kind }, verdict }];
  });
  const units = wall.units.flatMap((unit) => {
    const { cap } = unit.rules;
    if (cap === undefined) return [];
    const pile = supplies.filter((supply) => livesIn(supply, unit.id));
    const verdict = capVerdict(pile, cap, coming.unitId === unit.id ? 1 : 0, now);
    return [{ what: unitTitle(unit), of: { unitId: unit.id }, verdict }];
  });
  return [...kinds, ...units].filter(({ verdict }) => verdict.mustLeave > 0);
}

/** Partners that are missing, one line for each supply. */
function partnerLooks(supplies: readonly SupplyView[], { partnerHabits }: Preferences): Look[] {
  const lines = new Map<string, { supply: SupplyView; lacks: string[] }>();
  for (const { item, partner, out } of missingPartners(supplies, partnerHabits)) {
    const line = lines.get(item.id) ?? { supply: item, lacks: [] };
    line.lacks.push(out ? `${partner.name} (used up)` : partner.name);
    lines.set(item.id, line);
  }
  return [...lines.values()].map(({ supply, lacks }) => ({ supply, reason: `lacks ${lacks.join(', ')}` }));
}

const NO_LOT = { id: '', as: 'whole', items: 1, left: 1, spot: null } as const;
const lodgerOf = (supply: SupplyView): Lodger => ({ supply, lot: mainOf(supply) ?? NO_LOT });

/** Reads the whole stash for what is worth a look, each nudge when it is first read. `now` is ms since 1970. */
export function lookAt(stash: Stash, preferences: Preferences, now: number, whereIs: Where): Looks {
  const { supplies: here, wall } = stash;
  const onWall = wall.units.filter(isOnWall);
  const deep = new Set(wall.units.filter(({ facts }) => facts.reach === 'far').map(({ id }) => id));
  let known: ReturnType<typeof dueOnes<SupplyView>> | undefined;
  const due = () => (known ??= dueOnes(here, format(now, 'yyyy-MM-dd')));
  const where = (supply: SupplyView): string => whereIs(supply) ?? 'no place';
  return eachOnce<Looks>({
    due: () =>
      due()
        .filter((each) => each.due)
        .map(({ item, why, on }) => ({
          supply: item,
          why,
          reason:
            why === 'trial'
              ? `on trial, to be decided${on ? ` by ${day(on)}` : ''}`
              : `set aside for ${item.facts.dormant?.purpose ?? ''}, to wake on ${on ? day(on) : ''}`,
        })),
    waiting: () => due().filter((each) => !each.due).length,
    forgotten: () =>
      forgottenTen(
        here,
        now,
        outOfSight((id) => deep.has(id)),
      ).map((supply) => ({ supply, reason: `${sayLastUsed(supply)} · ${where(supply)}` })),
    caps: () => overCaps(stash, preferences, now),
    partners: () => partnerLooks(here, preferences),
    unused: () =>
      neverUsed(here, now).map(({ item, why, days }) => ({
        supply: item,
        reason: `${why} · here for ${many(Math.round(days / 30), 'month')} · ${sayWhat(item)}`,
      })),
    seasons: () =>
      here.flatMap((supply) => {
        const season = seasonOf(supply.facts);
        if (!season || seasonState(season, now, preferences.hemisphere) !== 'soon') return [];
        return [{ supply, reason: `for ${season}, which begins within a month · ${where(supply)}` }];
      }),
    misfits: () =>
      misfits(here, lodgerOf, onWall).map(({ item, refusal }) => ({
        supply: item,
        reason: `${formOf(item.kind, item.form).name}: fits no rack; ${sayLeftOver(refusal)}`,
      })),
  });
}
