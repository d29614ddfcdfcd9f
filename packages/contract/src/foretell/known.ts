import { foldEvents, countRuleOf, formFor, type Holding, type StashEvent } from '@red-shelf/core';
import type { ChangeView } from '../change';
import type { RecordView } from '../records';
import type { SupplyView } from '../supply';
import { lotsOfView, viewOf, writtenOf } from '../view';
import type { UnitView } from '../wall';

/** What a client knows of the stash when it asks for something. */
export interface Known {
  readonly supply: (id: string) => SupplyView | undefined;
  readonly supplies: () => Iterable<SupplyView>;
  readonly record: (id: string) => RecordView | undefined;
  readonly unit: (id: string) => UnitView | undefined;
}

/** What a command will have done, as far as a client can tell before it is answered. */
export interface Foretold {
  readonly change: ChangeView;
  readonly supplies: readonly SupplyView[];
  readonly records: readonly RecordView[];
  /** Ids of supplies and records that will be gone. */
  readonly gone: readonly string[];
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
  what: Partial<Omit<Foretold, 'change'>>,
): Foretold => ({
  change: { id, kind, name, count: 1 },
  supplies: [],
  records: [],
  gone: [],
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
  return viewOf(writtenOf(supply), { uses, used, lastUsedAt }, now);
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
