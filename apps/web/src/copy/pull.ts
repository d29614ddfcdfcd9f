import type { Conflict, ConflictId, PullTray, WayStep } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { sayAboutMass, sayLength, type Units } from './measure';
import { sayWay } from './room';
import { unitTitle } from './supply';

/** What happens where two do not go together. */
const HAPPENS: Readonly<Record<ConflictId, (one: string, other: string) => string>> = {
  'solvent-under-alcohol': (one, other) =>
    `${other} dissolves what is stamped with ${one} and carries it along`,
  'dye-under-water': (one, other) => `${one} runs when ${other} goes over it`,
  'marker-on-toothy': (one, other) => `${other} is rough: it frays the tip of ${one}, and the ink feathers`,
  'alcohol-through-thin': (one, other) => `${one} goes through ${other}, which is thin: put a sheet under it`,
  'water-on-thin': (one, other) => `${other} is thin and buckles when ${one} wets it`,
  'wet-on-film': (one, other) => `${one} does not dry on ${other} and smears`,
};

export const sayConflict = ({ id, one, other }: Conflict<SupplyView>): string =>
  `${HAPPENS[id](one.name, other.name)}. Try it on a corner first; the makers’ word comes before this.`;

/** The way to a thing, and what stands before it. */
interface Fetched {
  readonly way: readonly WayStep[];
  readonly before: readonly { readonly supply: Pick<SupplyView, 'name'> }[];
}

/** "C·07 · second drawer, pull it out · take Reed Pond out first". */
export const sayFetch = ({ way, before }: Fetched, address: string): string =>
  [address, sayWay(way), ...before.map(({ supply }) => `take ${supply.name} out first`)]
    .filter(Boolean)
    .join(' · ');

/** "8 sheets: 3 kept for it, 5 free"; of what nothing is kept only how much there is. */
export const sayStockFree = (stock: string, kept: string, free: string): string =>
  kept === '' ? stock : `${stock}: ${kept} kept for it, ${free} free`;

export const sayTray = (
  { unit, takes, massMg, widthUm, depthUm }: PullTray & { unit: { label: string; name: string } },
  units: Units,
): string =>
  `${takes} of them are in ${unitTitle(unit)}: carry it as it is. It weighs about ${sayAboutMass(massMg, units)} with what is in it, and takes ${sayLength(widthUm, units)} × ${sayLength(depthUm, units)} of the desk.`;
