import { formOf, PARTS, sparse, type Facts } from '@red-shelf/core';
import type { ChangeView, SupplyView } from '@red-shelf/contract';
import { ledgerOf, type LedgerRecord } from '../db/ledgerRepository';
import type { SupplyRecord, SupplyWithState } from '../db/supplyRepository';
import { Refusal } from '../http/problem';
import { refuseStale, type Context } from './context';
import type { Ports } from './ports';
import { Recorder } from './recorder';
import { entry, mustFind } from './supplies';
import { supplyToView } from './views';

interface Seen {
  readonly id: string;
  readonly version: number;
}

const union = <T>(
  a: readonly T[] = [],
  b: readonly T[] = [],
  key: (item: T) => unknown = (item) => item,
): T[] => {
  const known = new Set(a.map(key));
  return [...a, ...b.filter((item) => !known.has(key(item)))];
};

/** What is said of the kept one stands; the other fills in what is not said, and lists are joined. */
function joinedFacts(keep: Facts, other: Facts): Facts {
  return sparse({
    ...other,
    ...keep,
    attributes: { ...other.attributes, ...keep.attributes },
    tags: union(keep.tags, other.tags).slice(0, 30),
    swatches: union(keep.swatches, other.swatches, ({ id }) => id).slice(0, 24),
    photos: union(keep.photos, other.photos, ({ id }) => id).slice(0, 12),
    otherHexes: union(keep.otherHexes, other.otherHexes).slice(0, 8),
    reserved: union(keep.reserved, other.reserved, (each) => JSON.stringify(each)).slice(0, 20),
    trueSwatch: keep.trueSwatch,
  });
}

function joinedRecord(keep: SupplyRecord, other: SupplyRecord, at: string): SupplyRecord {
  const facts = joinedFacts(keep.facts, other.facts);
  return {
    ...keep,
    maker: keep.maker || other.maker,
    range: keep.range || other.range,
    code: keep.code || other.code,
    note: [keep.note, other.note].filter(Boolean).join('\n').slice(0, 2000),
    facts,
    version: keep.version + 1,
    updatedAt: at,
  };
}

/** The other's history under the kept one's name, then one count of both together. */
async function joinedLedger(
  history: readonly LedgerRecord[],
  keep: SupplyWithState,
  other: SupplyWithState,
  ports: Ports,
): Promise<LedgerRecord[]> {
  const newIds = new Map(history.map(({ id }) => [id, ports.newId()]));
  const copies = history.map((line) => ({
    ...line,
    id: newIds.get(line.id) ?? ports.newId(),
    supplyId: keep.supply.id,
    undoes: line.undoes === null ? null : (newIds.get(line.undoes) ?? null),
  }));
  const at = ports.now();
  const both = (read: (state: SupplyWithState) => number): number => read(keep) + read(other);
  const count = { items: both((s) => s.stock?.items ?? 0), left: both((s) => s.stock?.left ?? 0) };
  const parts = PARTS.map((part) => ({ part, left: both((s) => s.stock?.parts[part] ?? 0) }));
  return [
    ...copies,
    entry(ports.newId(), keep.supply.id, at, 'count', count),
    ...parts
      .filter(({ part }) => keep.stock?.parts[part] || other.stock?.parts[part])
      .map(({ part, left }) => entry(ports.newId(), keep.supply.id, at, 'count', { items: 0, left, part })),
  ];
}

/** Makes one of two records that are one thing: stock and history are joined, the other one leaves the stash. */
export async function mergeSupplies(
  { store, ports }: Context,
  given: { keep: Seen; other: Seen },
): Promise<{ supply: SupplyView; change: ChangeView }> {
  if (given.keep.id === given.other.id)
    throw new Refusal(422, 'invalid', 'Those are the same record; choose two.');
  return store.write(async (tx) => {
    const keep = await mustFind(tx, given.keep.id);
    const other = await mustFind(tx, given.other.id);
    refuseStale(given.keep.version, supplyToView(keep));
    refuseStale(given.other.version, supplyToView(other));
    if (keep.supply.kind !== other.supply.kind || keep.supply.form !== other.supply.form)
      throw new Refusal(
        422,
        'different_things',
        `A ${formOf(keep.supply.kind, keep.supply.form).name} and a ${formOf(other.supply.kind, other.supply.form).name} are two things. Make them the same form first.`,
      );
    const history = (await ledgerOf(tx, other.supply.id)).map(({ seq: _, ...line }) => line);
    const recorder = new Recorder(tx, ports);
    await recorder.writeSupply(keep.supply, joinedRecord(keep.supply, other.supply, ports.now()));
    await recorder.appendLedger(await joinedLedger(history, keep, other, ports), [keep.supply]);
    const freed = other.placement ? { unitId: other.placement.unitId, slot: other.placement.slot } : null;
    await recorder.removeSupply(other.supply.id);
    if (!keep.placement && freed) await recorder.setPlaces(new Map([[keep.supply.id, freed]]));
    const change = await recorder.finish('merge', keep.supply.name, 2);
    return { supply: supplyToView(await mustFind(tx, keep.supply.id)), change };
  });
}
