import { sheetSizeOf } from '../stash/sheetSize';
import type { Bodied } from '../stash/body';
import type { Stock } from '../stock/stock';
import type { Kind } from '../kinds/definition';
import { formOf } from '../kinds/registry';

/** What storage still lacks and a discarded thing might serve as. */
export const NEEDED_AS = ['divider', 'winding card', 'tray', 'box', 'pouch', 'swatch card'] as const;
export type NeededAs = (typeof NEEDED_AS)[number];

/** An open need of storage; sizes in µm, 0 where any will do. */
export interface StorageNeed {
  readonly what: NeededAs;
  readonly widthUm: number;
  readonly heightUm: number;
  readonly count: number;
  /** What it is for: "card file C". */
  readonly where: string;
}

/** What the material or packaging of each kind can become. */
const BECOMES: Readonly<Record<Kind, readonly NeededAs[]>> = {
  ink: ['tray', 'box'],
  marker: ['box'],
  cardstock: ['divider', 'winding card', 'swatch card', 'pouch'],
  ribbon: ['winding card', 'box'],
  sticker: ['pouch', 'swatch card'],
  companion: ['box', 'tray', 'pouch'],
};
/** Things made of flat stuff serve only when their sheet is large enough. */
const FLAT: ReadonlySet<NeededAs> = new Set(['divider', 'winding card', 'swatch card', 'pouch']);

export type Salvageable = Bodied & { readonly stock: Pick<Stock, 'left'> };

/** Width and height of the flat stuff of a thing, µm. */
function flatSize(thing: Salvageable): readonly [number, number] {
  const sheet = sheetSizeOf(thing);
  if (sheet) return [sheet.widthUm, sheet.heightUm];
  const { envelope } = formOf(thing.kind, thing.form);
  const [longest = 0, second = 0] = Object.values<number>({ ...envelope }).sort((a, b) => b - a);
  return [longest, second];
}

/**
 * Needs that a thing about to leave could meet: what it is made of or came in suits, and flat stuff is large enough
 * either way round. `covers` is how many of the need it could meet: sheets can serve as many times as there are sheets.
 */
export function salvageFor<N extends StorageNeed>(
  thing: Salvageable,
  needs: readonly N[],
): { readonly need: N; readonly covers: number }[] {
  const [w, h] = flatSize(thing);
  return needs
    .filter(({ what, widthUm, heightUm, count }) => {
      if (count < 1 || !BECOMES[thing.kind].includes(what)) return false;
      if (!FLAT.has(what)) return true;
      return (w >= widthUm && h >= heightUm) || (h >= widthUm && w >= heightUm);
    })
    .map((need) => {
      const sheets = thing.kind === 'cardstock' ? Math.max(1, thing.stock.left) : 1;
      return { need, covers: Math.min(need.count, sheets) };
    });
}
