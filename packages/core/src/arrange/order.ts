import { groupOf, type Family, type FamilyGroup } from '../colour/families';
import { familyOf, type Finish } from '../colour/family';
import { chromaOf, hueOf, labOf, type Lab } from '../colour/lab';
import { DEFAULT_SCHEME, familyRanks, type Scheme } from './scheme';
import { naturally } from '../text/natural';

/** The least a thing needs to take its place in a rainbow. */
export interface ColouredItem {
  readonly id: string;
  /** sRGB `#rrggbb`. */
  readonly hex: string;
  readonly finish?: Finish | null;
  /** Where a person has overruled the computed family. */
  readonly family?: Family | null;
  /** Things without a colour stand by it. */
  readonly name?: string;
}

/** A coloured thing with what comparing it needs, computed once. */
export interface Keyed<T> {
  readonly item: T;
  readonly id: string;
  readonly family: Family;
  readonly group: FamilyGroup;
  readonly lab: Lab;
}
type Order<T> = (a: T, b: T) => number;

/** The family an item is filed under: the person's word if given, else the computed one. */
const familyFor = (item: ColouredItem): Family =>
  item.family ?? familyOf(item.hex, item.finish ?? undefined).family;

/** The group of that family. */
export const familyGroupOf = (item: ColouredItem): FamilyGroup => groupOf(familyFor(item));

export function keyed<T extends ColouredItem>(item: T): Keyed<T> {
  const family = familyFor(item);
  return { item, id: item.id, family, group: groupOf(family), lab: labOf(item.hex) };
}

const nameOf = ({ item }: Keyed<unknown>): string => (item as Pick<ColouredItem, 'name'>).name ?? '';
/** What has no colour is filed by its name. */
const byNameIfPlain: Order<Keyed<unknown>> = (a, b) =>
  a.family === 'none' && b.family === 'none' ? naturally(nameOf(a), nameOf(b)) : 0;

/** Family, then lightness, then chroma and hue; the id last, so that the order is total. */
export function makeRainbowOrder(scheme: Scheme = DEFAULT_SCHEME): Order<Keyed<unknown>> {
  const rank = familyRanks(scheme);
  const direction = scheme.lightness === 'light-first' ? -1 : 1;
  // The first that tells two apart decides. Written out, since a list of thousands compares tens of thousands of times.
  return (a, b) =>
    rank[a.family] - rank[b.family] ||
    byNameIfPlain(a, b) ||
    direction * (a.lab.l - b.lab.l) ||
    chromaOf(a.lab) - chromaOf(b.lab) ||
    hueOf(a.lab) - hueOf(b.lab) ||
    (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);
}
