import type { Supply } from '../stash/supply';
import { statusOf } from '../stash/facts';
import type { Status } from '../stash/standing';

/**
 * What may be advised where a thing runs low: `buy` more; `spare` it, since it cannot be bought again; or nothing at all (`silent`).
 */
export type Restock = 'buy' | 'spare' | 'silent';

const BY_STATUS: Readonly<Record<Status, Restock>> = {
  trial: 'buy',
  current: 'buy',
  retired: 'spare',
  irreplaceable: 'spare',
  leaving: 'silent',
  gone: 'silent',
};
/** What one makes oneself, and what is left of something else, is not bought. */
const HOME_MADE: ReadonlySet<string> = new Set(['made', 'half-made', 'cut-base', 'scrap']);

/** What may be advised of a supply that is low or out: its status, its collection, its grade and its form rule that, in one place. */
export function restockOf({ form, facts }: Pick<Supply, 'form' | 'facts'>): Restock {
  if (facts.collection === true || facts.grade === 'give away' || HOME_MADE.has(form)) return 'silent';
  return BY_STATUS[statusOf(facts)];
}
