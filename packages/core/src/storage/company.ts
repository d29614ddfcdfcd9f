import type { Trait } from '../kinds/definition';
import { formOf } from '../kinds/registry';
import type { Supply } from '../stash/supply';

type Formed = Pick<Supply, 'kind' | 'form'>;

/** What is wrong with two things beside each other: a quality of one that the other suffers from; null where nothing is. */
export function badCompany(
  thing: Formed,
  other: Formed,
): { trait: Trait; suffers: 'thing' | 'other' } | null {
  const [mine, theirs] = [formOf(thing.kind, thing.form), formOf(other.kind, other.form)];
  const harms = theirs.traits?.find((trait) => mine.avoid?.includes(trait));
  if (harms) return { trait: harms, suffers: 'thing' };
  const harmed = mine.traits?.find((trait) => theirs.avoid?.includes(trait));
  return harmed ? { trait: harmed, suffers: 'other' } : null;
}
