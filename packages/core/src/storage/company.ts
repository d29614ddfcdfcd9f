import type { Trait } from '../kinds/definition';
import { formOf } from '../kinds/registry';
import type { Supply } from '../stash/supply';

type Answered = Pick<Supply, 'kind' | 'form' | 'facts'>;

/** Papers that are rough to those beside them, and those that keep every scratch and every grain. */
const ROUGH: ReadonlySet<unknown> = new Set(['glitter']);
const DELICATE: ReadonlySet<unknown> = new Set(['vellum', 'foil', 'holographic', 'acetate']);

/** What a thing does to others, and what it suffers from: as its form has it, and as what it is made of adds. */
function nature({ kind, form: id, facts }: Answered): {
  does: ReadonlySet<Trait>;
  avoids: ReadonlySet<Trait>;
} {
  const form = formOf(kind, id);
  const made = [facts.attributes?.paper, facts.attributes?.style];
  return {
    does: new Set<Trait>([
      ...(form.traits ?? []),
      ...(made.some((word) => ROUGH.has(word)) ? (['scratches'] as const) : []),
    ]),
    avoids: new Set<Trait>([
      ...(form.avoid ?? []),
      ...(made.some((word) => DELICATE.has(word)) ? (['sheds glitter', 'scratches'] as const) : []),
    ]),
  };
}

/** What is wrong with two things beside each other: a quality of one that the other suffers from; null where nothing is. */
export function badCompany(
  thing: Answered,
  other: Answered,
): { trait: Trait; suffers: 'thing' | 'other' } | null {
  const [mine, theirs] = [nature(thing), nature(other)];
  const harms = [...theirs.does].find((trait) => mine.avoids.has(trait));
  if (harms) return { trait: harms, suffers: 'thing' };
  const harmed = [...mine.does].find((trait) => theirs.avoids.has(trait));
  return harmed ? { trait: harmed, suffers: 'other' } : null;
}
