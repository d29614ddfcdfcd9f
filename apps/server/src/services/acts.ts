import { refillRequest, type StockRequest } from '@red-shelf/core';
import { afterUseFor, readHeldFor, type GroupBody, type StockRequestBody } from '@red-shelf/contract';
import { recordRow, type RecordRow } from '../db/recordRepository';
import type { SupplyWithState } from '../db/supplyRepository';
import type { Tx } from '../db/tx';
import { notFound, Refusal } from './refusal';
import { refuseStale, type Context } from './context';
import { Recorder } from './recorder';
import { mustFind } from './find';
import { planned, type ChangedSupply } from './supplies';
import { supplyToView } from './views';

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
    const held = 'heldFor' in request && request.heldFor ? await mustHold(tx, request.heldFor) : null;
    const act = planned(ports, supply, lots, await asked(tx, found, request, held?.group.name));
    await recorder.post([{ supplyId: id, act }]);
    const less = held && afterUseFor(held.group, supply, act.happening);
    if (less) {
      const { row } = held;
      const after = { ...row, body: less, version: row.version + 1, updatedAt: ports.now() };
      await recorder.putRecord(row, after);
    }
    const change = await recorder.finish('act', supply.name, 1);
    return { supply: supplyToView(await mustFind(tx, id)), change };
  });
}

/** The project or kit an act is done for. */
async function mustHold(tx: Tx, id: string): Promise<{ row: RecordRow; group: GroupBody }> {
  const row = await recordRow(tx, id);
  const group = row?.removedAt === null ? readHeldFor(id, () => row) : null;
  if (!row || !group) throw notFound('project or kit');
  return { row, group };
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
  { supply }: SupplyWithState,
  request: StockRequestBody,
  project: string | undefined,
): Promise<StockRequest> {
  if (request.act === 'use' || request.act === 'cut') {
    const { heldFor: _, ...rest } = request;
    return { ...rest, project };
  }
  if (request.act !== 'refill') return request;
  const { fromId, ...rest } = request;
  const bottle = fromId ? await mustFind(tx, fromId) : null;
  const plan = refillRequest(supply, bottle && { ...bottle.supply, lots: bottle.lots }, rest);
  if (!('code' in plan)) return plan;
  throw new Refusal(
    422,
    'invalid',
    plan.code === 'lighter'
      ? 'It weighs less after filling than before; check the two masses.'
      : `${bottle?.supply.name ?? 'That'} is nothing to fill from; choose a bottle.`,
  );
}
