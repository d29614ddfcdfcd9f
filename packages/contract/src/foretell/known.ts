import { foldEvents, countRuleOf, formFor, type Holding, type StashEvent } from '@red-shelf/core';
import type { ChangeView } from '../change';
import type { RecordView } from '../records';
import type { SupplyView } from '../supply';
import { lotsOfView, viewOf, writtenOf } from '../view';
import type { LiftedView, UnitView } from '../wall';

/** What a client knows of the stash when it asks for something. */
export interface Known {
  readonly supply: (id: string) => SupplyView | undefined;
  readonly supplies: () => Iterable<SupplyView>;
  readonly record: (id: string) => RecordView | undefined;
  readonly records: () => Iterable<RecordView>;
  readonly unit: (id: string) => UnitView | undefined;
  /** In the person's order. */
  readonly units: () => readonly UnitView[];
}

/** What a command will have done, as far as a client can tell before it is answered. */
export interface Foretold {
  readonly change: ChangeView;
  readonly supplies: readonly SupplyView[];
  readonly records: readonly RecordView[];
  /** Ids of supplies and records that will be gone. */
  readonly gone: readonly string[];
  /** The whole wall, where it will be another. */
  readonly units: readonly UnitView[] | null;
  /** What will have to give way. */
  readonly lifted: LiftedView;
}

/** A command on its way: what it is called, when the person did it, and the ids it gives to what it makes. */
export interface Naming {
  readonly id: string;
  readonly at: string;
  readonly nextId: () => string;
}

/** Names what a command makes as the server will: the first thing as the command itself, the next ones numbered. */
export function naming(id: string, at: string): Naming {
  let made = 0;
  return { id, at, nextId: () => (made++ === 0 ? id : `${id}-${made - 1}`) };
}

export const foretold = (
  { id }: Naming,
  kind: ChangeView['kind'],
  name: string,
  { count = 1, ...what }: Partial<Omit<Foretold, 'change'>> & { readonly count?: number },
): Foretold => ({
  change: { id, kind, name, count },
  supplies: [],
  records: [],
  gone: [],
  units: null,
  lifted: [],
  ...what,
});

/** A supply after an event that concerns it: its lots added up anew, those it moved where they are then. */
export function afterEvent(supply: SupplyView, event: StashEvent, made: readonly Holding[] = []): SupplyView {
  const lots = [...lotsOfView(supply), ...made];
  const { tallies, uses, used, lastUsedAt } = foldEvents(
    [event],
    supply.id,
    new Map(lots.map(({ id, as }) => [id, { whole: as === 'whole' }])),
    countRuleOf(formFor(supply)),
    { ...supply.stock, tallies: new Map(lots.map((lot) => [lot.id, lot])) },
  );
  const aged = new Set(event.postings.map(({ holdingId }) => holdingId));
  const spots = new Map(event.shifts.map(({ holdingId, to }) => [holdingId, to]));
  const now = lots.map((lot): Holding => {
    const spot = spots.get(lot.id);
    const moved = event.act === 'move' && spot !== undefined;
    const version = lot.version + (aged.has(lot.id) ? 1 : 0) + (moved ? 1 : 0);
    return { ...lot, ...tallies.get(lot.id), version, spot: spot === undefined ? lot.spot : spot };
  });
  // Nothing that is done with it gives it another colour.
  return viewOf(writtenOf(supply), { uses, used, lastUsedAt }, now, supply.family);
}

/** A supply without a place for these of its lots; all of them when left out. */
export function afterLift(
  { id, at }: Pick<Naming, 'id' | 'at'>,
  supply: SupplyView,
  lots: readonly Pick<Holding, 'id' | 'spot'>[] = supply.holdings,
): SupplyView {
  const shifts = lots.flatMap(({ id: holdingId, spot }) =>
    spot ? [{ holdingId, from: spot, to: null }] : [],
  );
  if (shifts.length === 0) return supply;
  return afterEvent(supply, { act: 'move', id, supplyId: supply.id, at, postings: [], shifts });
}

/** A lot that is made on the way. */
export const newLot = (lot: Pick<Holding, 'id' | 'as' | 'sizeUm'>, supplyId: string): Holding => ({
  ...lot,
  supplyId,
  version: 1,
  spot: null,
  items: 0,
  left: 0,
});
