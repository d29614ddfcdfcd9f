import type { Facts } from '../stash/facts';
import { GROUNDS, MADE, TAKEN, type SupplySwatch } from '../stash/swatchSchema';

/** `#4c9a52 stamped on white, by reader, 2026-05-01, within 0.8, decides` */
function write({ hex, made, ground, taken, on, spread }: SupplySwatch, decides: boolean): string {
  const more = [
    `by ${taken}`,
    ...(on ? [on] : []),
    ...(spread === undefined ? [] : [`within ${spread}`]),
    ...(decides ? ['decides'] : []),
  ];
  return [`${hex} ${made} on ${ground}`, ...more].join(', ');
}

const FORM = new RegExp(
  `^(#[0-9a-f]{6}) (${MADE.join('|')}) on (${GROUNDS.join('|')}), by (${TAKEN.join('|')})` +
    '(?:, (\\d{4}-\\d{2}-\\d{2}))?(?:, within ([0-9.e-]+))?(, decides)?$',
);

/** Swatches in one cell, one after another. */
export const writeSwatches = ({ swatches = [], trueSwatch }: Facts): string =>
  swatches.map((each) => write(each, each.id === trueSwatch)).join('; ');

/** Reads them back; they get names by their turn. Null where one cannot be read. */
export function readSwatches(text: string): Pick<Facts, 'swatches' | 'trueSwatch'> | null {
  const swatches: SupplySwatch[] = [];
  let trueSwatch: string | undefined;
  for (const [turn, each] of text.split(/;\s*/).filter(Boolean).entries()) {
    const found = FORM.exec(each);
    if (!found) return null;
    const [, hex = '', made, ground, taken, on, spread, decides] = found;
    const id = `w${turn + 1}`;
    if (decides) trueSwatch = id;
    swatches.push({
      id,
      hex,
      made: made as SupplySwatch['made'],
      ground: ground as SupplySwatch['ground'],
      taken: taken as SupplySwatch['taken'],
      ...(on ? { on } : {}),
      ...(spread ? { spread: Number(spread) } : {}),
    });
  }
  return { swatches, ...(trueSwatch ? { trueSwatch } : {}) };
}
