import type { Family } from '../colour/families';
import { findForm } from '../kinds/registry';
import type { Kind } from '../kinds/definition';

/** What stands where a colour would, for things that have none. */
export const NO_COLOUR = '#c9c7c2';

/** The family of a thing nobody gave a colour, where it need not have one: a stamp, a die, a tool. Null where it must. */
export function familyWithout(
  kind: Kind,
  form: string,
  familyOverride: Family | null | undefined,
): Family | null {
  return familyOverride === 'none' || findForm(kind, form)?.colourless ? 'none' : null;
}
