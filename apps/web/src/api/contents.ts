import {
  addressIn,
  bodyOf,
  cellsBefore,
  HAND_ID,
  holdsOf,
  isLiquid,
  isOfPaper,
  mainLot,
  placedLots,
  placesIn,
  signsIn,
  useOf,
  type Inside,
  type Shared,
  type RoomNow,
} from '@red-shelf/core';
import { homesIn, type HoldingView, type SupplyView, type UnitView } from '@red-shelf/contract';
import { useMemo } from 'react';
import { usePreferences, useRecords, type Stash } from './queries';

/** A lot that lives somewhere, and the supply it is of. */
export interface Living {
  readonly supply: SupplyView;
  readonly lot: HoldingView;
}

/** What is in a unit: by cell, null where one is open, or one after another where things lie loose. */
export type Contents = readonly (Living | null)[];

/** Whether things lie loose in a unit, without cells. */
export const isLoose = ({ model }: Pick<UnitView, 'model'>): boolean =>
  model !== null && holdsOf(model).shares;

/** The lot a supply is thought of first. */
export const mainOf = ({ holdings }: SupplyView): HoldingView | undefined => mainLot(holdings) ?? holdings[0];

/** Units a supply has something in, each once; the hand is none. */
export const unitIdsOf = ({ holdings }: SupplyView): string[] => [
  ...new Set(holdings.flatMap(({ spot }) => (spot && spot.unitId !== HAND_ID ? [spot.unitId] : []))),
];
export const livesIn = (supply: SupplyView, unitId: string | null | undefined): boolean =>
  supply.holdings.some(({ spot }) => spot !== null && spot.unitId === unitId);

/** Whether any of it has a place, or is out on the bench. */
export const hasPlace = ({ holdings }: SupplyView): boolean => holdings.some(({ spot }) => spot !== null);

/** Where what is in hand is. */
export const BENCH = 'bench';

/** Every place something of a supply is, as printed on labels, the main one first. */
export function addressesOf(supply: SupplyView, unitById: ReadonlyMap<string, UnitView>): string[] {
  const said = placedLots(supply.holdings).flatMap(({ spot }) => {
    if (spot?.unitId === HAND_ID) return [BENCH];
    const unit = unitById.get(spot?.unitId ?? '');
    return unit && spot ? [addressIn(unit, spot.cell)] : [];
  });
  return [...new Set(said)];
}

const contentsOf = new WeakMap<Stash, ReadonlyMap<string, Contents>>();

let latest: ReadonlyMap<string, Contents> = new Map();
const isSame = (a: Contents, b: Contents): boolean =>
  a.length === b.length && a.every((each, i) => each?.lot === b[i]?.lot && each?.supply === b[i]?.supply);

/**
 * What lives where, by unit; worked out once for a state of the stash. A unit in which nothing changed keeps the list it
 * had, so that only what changed is drawn again.
 */
export function readContents(stash: Stash): ReadonlyMap<string, Contents> {
  const known = contentsOf.get(stash);
  if (known) return known;
  const cells = new Map<string, (Living | null)[]>(
    stash.wall.units.map((unit) => [
      unit.id,
      isLoose(unit) ? [] : Array<Living | null>(placesIn(unit)).fill(null),
    ]),
  );
  for (const supply of stash.all)
    for (const lot of supply.holdings) {
      const { spot } = lot;
      const row = spot && cells.get(spot.unitId);
      if (!row) continue;
      if (spot.cell === null) row.push({ supply, lot });
      else row[spot.cell] = { supply, lot };
    }
  for (const unit of stash.wall.units)
    if (isLoose(unit))
      cells.get(unit.id)?.sort((p, q) => (p?.lot.spot?.rank ?? 0) - (q?.lot.spot?.rank ?? 0));
  const shared = new Map<string, Contents>();
  for (const [id, row] of cells) {
    const before = latest.get(id);
    shared.set(id, before && isSame(before, row) ? before : row);
  }
  latest = shared;
  contentsOf.set(stash, shared);
  return shared;
}

const NOTHING: ReadonlyMap<string, Contents> = new Map();

export const useContents = (stash: Stash | undefined): ReadonlyMap<string, Contents> =>
  useMemo(() => (stash ? readContents(stash) : NOTHING), [stash]);

/** How many things are in a unit. */
export const countIn = (contents: Contents | undefined): number =>
  (contents ?? []).reduce((sum, each) => sum + (each ? 1 : 0), 0);

/** What is left of what things share in a unit; null where they have places of their own. */
export function freeIn({ model }: Pick<UnitView, 'model'>, contents: Contents): Shared | null {
  if (!model) return null;
  return holdsOf(model).fill(contents.flatMap((each) => (each ? [bodyOf(each.supply, each.lot).all] : [])));
}

/** A lot in its place, with how much its supply is used. */
export interface Placed extends Living {
  readonly unit: UnitView;
  readonly unitId: string;
  readonly cell: number | null;
  readonly uses: number;
}

/** Every lot that has a place on the wall. */
export function placedIn(stash: Stash): Placed[] {
  const units = new Map(stash.wall.units.map((unit) => [unit.id, unit]));
  return stash.supplies.flatMap((supply) =>
    supply.holdings.flatMap((lot): Placed[] => {
      const unit = units.get(lot.spot?.unitId ?? '');
      return unit && lot.spot
        ? [{ supply, lot, unit, unitId: unit.id, cell: lot.spot.cell, uses: useOf(supply) }]
        : [];
    }),
  );
}

/** How many things must be moved before one of a unit can be taken. */
export function toReachIn({ model }: Pick<UnitView, 'model'>, contents: Contents, index: number): number {
  if (model?.model === 'grid') return cellsBefore(model, index).filter((cell) => contents[cell]).length;
  const bodies = contents.flatMap((each) => (each ? [bodyOf(each.supply, each.lot).all] : []));
  return model && holdsOf(model).shares ? holdsOf(model).toReach(bodies, index).length : 0;
}

/** What all that is in a unit weighs, about, mg. */
export const massIn = (contents: Contents | undefined): number =>
  (contents ?? []).reduce((sum, each) => sum + (each ? bodyOf(each.supply, each.lot).massMg : 0), 0);

/** What `signsIn` asks of what is in a unit. */
export const insideOf =
  (contents: ReadonlyMap<string, Contents>) =>
  (unitId: string): Inside => {
    const things = (contents.get(unitId) ?? []).flatMap((each) => each ?? []);
    return {
      things: things.length,
      liquids: things.some(({ supply }) => isLiquid(supply)),
      paper: things.some(({ supply }) => isOfPaper(supply)),
      deepestUm: Math.max(0, ...things.map(({ supply, lot }) => bodyOf(supply, lot).one.depthUm)),
    };
  };

/** The room as `mayLive` is asked of it: what lives where, and which units are kept for a palette or a drawer. */
export function useRoom(stash: Stash | undefined): RoomNow {
  const contents = useContents(stash);
  const { data } = useRecords();
  const { preferences } = usePreferences();
  const signsOf = useMemo(() => signsIn(stash?.wall.all ?? [], insideOf(contents)), [stash, contents]);
  return useMemo(
    () => ({
      livingIn: (unitId) => (contents.get(unitId) ?? []).flatMap((each) => each ?? []),
      marksOf: signsOf,
      habits: new Set(preferences.habits),
      ...homesIn(data ?? [], stash?.supplies ?? [], preferences),
    }),
    [contents, data, preferences, stash, signsOf],
  );
}
