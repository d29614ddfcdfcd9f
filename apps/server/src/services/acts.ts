import { formFor, type Holding, type RefillFrom, type StockRequest } from '@red-shelf/core';
import type { StockRequestBody } from '@red-shelf/contract';
import type { SupplyRecord, SupplyWithState } from '../db/supplyRepository';
import type { Tx } from '../db/tx';
import { Refusal } from '../http/problem';
import { refuseStale, type Context } from './context';
import { Recorder } from './recorder';
import { mustFind } from './find';
import { planned, type ChangedSupply } from './supplies';
import { supplyToView } from './views';

/** Ink weighs about as much as water: 1 mg is about 1 µl. */
const UL_PER_MG = 1;

const numberIn = ({ facts }: SupplyRecord, id: string): number | undefined => {
  const value = facts.attributes?.[id];
  return typeof value === 'number' && value > 0 ? value : undefined;
};

/** Writes one act into the ledger; stock follows from it. */
export async function actOnSupply(
  { store, ports }: Context,
  id: string,
  request: StockRequestBody,
): Promise<ChangedSupply> {
  return store.write(async (tx) => {
    const found = await mustFind(tx, id);
    const { supply, lots } = found;
    if (request.act === 'count' && request.version !== undefined) refuseStaleCount(found, request);
    const recorder = new Recorder(tx, ports);
    const act = planned(ports, supply, lots, await asked(tx, found, request));
    await recorder.post([{ supplyId: id, act }]);
    const change = await recorder.finish('act', supply.name, 1);
    return { supply: supplyToView(await mustFind(tx, id)), change };
  });
}

/** A count sets what is there: it must have seen what it replaces. */
function refuseStaleCount(
  found: SupplyWithState,
  request: Extract<StockRequestBody, { act: 'count' }>,
): void {
  const view = supplyToView(found);
  const lot = request.lotId ? view.holdings.find(({ id }) => id === request.lotId) : view.holdings[0];
  if (lot && request.version !== undefined)
    refuseStale(request.version, { ...view, version: lot.version }, request);
}

/** The request as the core plans it: what a refill gives and takes is worked out. */
async function asked(
  tx: Tx,
  { supply, lots }: SupplyWithState,
  request: StockRequestBody,
): Promise<StockRequest> {
  if (request.act !== 'refill') return request;
  const { fromId, weights, ...rest } = request;
  if (weights && weights.afterMg < weights.beforeMg)
    throw new Refusal(422, 'invalid', 'It weighs less after filling than before; check the two masses.');
  const gained = weights && weights.afterMg - weights.beforeMg;
  return {
    ...rest,
    ...(weights ? { weights } : {}),
    ...(gained === undefined ? {} : givenTo(supply, lots, gained)),
    ...(fromId ? { from: await takenFrom(tx, fromId, supply, gained) } : {}),
  };
}

/** Uses that a gain in mass gives, where the masses empty and full are known. */
function givenTo(supply: SupplyRecord, lots: readonly Holding[], gainedMg: number): { gives?: number } {
  const [empty, full] = [numberIn(supply, 'emptyMass'), numberIn(supply, 'fullMass')];
  if (empty === undefined || full === undefined || full <= empty || lots.length === 0) return {};
  return { gives: Math.round((gainedMg / (full - empty)) * (formFor(supply).usesPerFill ?? 1)) };
}

/** What the bottle gives: by mass where it was weighed and its contents are known, else one use of it. */
async function takenFrom(
  tx: Tx,
  fromId: string,
  into: SupplyRecord,
  gainedMg: number | undefined,
): Promise<RefillFrom> {
  const { supply, lots } = await mustFind(tx, fromId);
  const form = formFor(supply);
  if (form.counting !== 'fill' || fromId === into.id)
    throw new Refusal(422, 'invalid', `${supply.name} is nothing to fill from; choose a bottle.`);
  const volumeUl = numberIn(supply, 'volume') ?? form.volumeUl;
  const perFill = form.usesPerFill ?? 1;
  const amount =
    gainedMg !== undefined && volumeUl !== undefined
      ? Math.max(1, Math.round(((gainedMg * UL_PER_MG) / volumeUl) * perFill))
      : 1;
  return { supplyId: fromId, amount, lots: lots.filter(({ as }) => as === 'whole') };
}
