import {
  checkStockRequest,
  effectiveHex,
  formOf,
  PARTS,
  sparse,
  type StockRefusal,
  type FormDefinition,
} from '@red-shelf/core';
import type {
  ChangeView,
  EditedSupply,
  LedgerView,
  NewSupply,
  StockRequestBody,
  SupplyView,
} from '@red-shelf/contract';
import { findSupply, type SupplyRecord, type SupplyWithState } from '../db/supplyRepository';
import { ledgerOf, type LedgerRecord } from '../db/ledgerRepository';
import type { Readable } from '../db/open';
import { notFound, Refusal } from '../http/problem';
import { refuseStale, type Context } from './context';
import type { Ports } from './ports';
import { Recorder } from './recorder';
import { supplyToView } from './views';

interface ChangedSupply {
  supply: SupplyView;
  change: ChangeView;
}

export async function mustFind(db: Readable, id: string): Promise<SupplyWithState> {
  const found = await findSupply(db, id);
  if (!found) throw notFound('supply');
  return found;
}

export async function getSupply(
  { store }: Context,
  id: string,
): Promise<{ supply: SupplyView; ledger: LedgerView[] }> {
  const supply = supplyToView(await mustFind(store.read, id));
  const rows = await ledgerOf(store.read, id);
  return { supply, ledger: rows.map(({ seq: _seq, supplyId: _supplyId, ...entry }) => entry) };
}

/** A supply's record from what a person gave. */
export function newRecord(
  id: string,
  at: string,
  { count: _count, parts: _parts, ...fields }: NewSupply,
): SupplyRecord {
  const times = { createdAt: at, updatedAt: at, removedAt: null };
  return { ...coloured(fields), id, version: 1, number: 0, ...times };
}

/** The true swatch decides the colour; facts that say nothing are not kept. */
const coloured = <T extends Pick<SupplyRecord, 'hex' | 'facts'>>(fields: T): T => ({
  ...fields,
  hex: effectiveHex(fields.hex, fields.facts),
  facts: sparse(fields.facts),
});

export const entry = (
  id: string,
  supplyId: string,
  at: string,
  act: LedgerRecord['act'],
  more: Partial<LedgerRecord> = {},
): LedgerRecord => ({
  id,
  supplyId,
  at,
  act,
  amount: null,
  items: null,
  left: null,
  part: null,
  undoes: null,
  ...more,
});

/** The entries that open a new supply's ledger: its count, and those of its parts. */
export function openingEntries(ports: Ports, supplyId: string, at: string, given: NewSupply): LedgerRecord[] {
  const form = formOf(given.kind, given.form);
  refuseStock(checkStockRequest({ act: 'count', ...given.count }, { items: 0, left: 0 }, form), form);
  const parts = PARTS.flatMap((part) => {
    const left = given.parts?.[part] ?? 0;
    if (left === 0) return [];
    refuseStock(checkStockRequest({ act: 'count', left, part }, { items: 0, left: 0 }, form), form);
    return [entry(ports.newId(), supplyId, at, 'count', { items: 0, left, part })];
  });
  return [entry(ports.newId(), supplyId, at, 'count', given.count), ...parts];
}

export async function addSupply({ store, ports }: Context, given: NewSupply): Promise<ChangedSupply> {
  return store.write(async (tx) => {
    const recorder = new Recorder(tx, ports);
    const at = ports.now();
    const record = newRecord(ports.newId(), at, given);
    await recorder.addSupplies([record]);
    await recorder.appendLedger(openingEntries(ports, record.id, at, given), [record]);
    const change = await recorder.finish('add', record.name, 1);
    return { supply: supplyToView(await mustFind(tx, record.id)), change };
  });
}

export async function editSupply(
  { store, ports }: Context,
  id: string,
  given: EditedSupply,
): Promise<ChangedSupply> {
  return store.write(async (tx) => {
    const found = await mustFind(tx, id);
    const { version, ...fields } = given;
    refuseStale(version, supplyToView(found), fields);
    const before = found.supply;
    if (formOf(before.kind, before.form).counting !== formOf(fields.kind, fields.form).counting)
      throw new Refusal(
        422,
        'counted_differently',
        'That form is counted in another way, so its history would no longer make sense. Add it as a new supply instead.',
      );
    const recorder = new Recorder(tx, ports);
    await recorder.writeSupply(before, {
      ...before,
      ...coloured(fields),
      version: version + 1,
      updatedAt: ports.now(),
    });
    const change = await recorder.finish('edit', fields.name, 1);
    return { supply: supplyToView(await mustFind(tx, id)), change };
  });
}

export async function removeSupply(
  { store, ports }: Context,
  id: string,
  version: number,
): Promise<ChangeView> {
  return store.write(async (tx) => {
    const found = await mustFind(tx, id);
    refuseStale(version, supplyToView(found));
    const recorder = new Recorder(tx, ports);
    await recorder.removeSupply(id);
    return recorder.finish('remove', found.supply.name, 1);
  });
}

/** Writes one act into the ledger; stock follows from it. */
export async function actOnSupply(
  { store, ports }: Context,
  id: string,
  request: StockRequestBody,
): Promise<ChangedSupply> {
  return store.write(async (tx) => {
    const { supply, stock } = await mustFind(tx, id);
    const form = formOf(supply.kind, supply.form);
    refuseStock(checkStockRequest(request, stock ?? { items: 0, left: 0 }, form), form);
    const recorder = new Recorder(tx, ports);
    const { act, ...amounts } = request;
    await recorder.appendLedger([entry(ports.newId(), id, ports.now(), act, amounts)], [supply]);
    const change = await recorder.finish('act', supply.name, 1);
    return { supply: supplyToView(await mustFind(tx, id)), change };
  });
}

/** Wording of the core's refusals; amounts of lengths are said in metres. */
function refuseStock(refusal: StockRefusal | null, form: FormDefinition): void {
  if (!refusal) return;
  const say = (n: number): string => (form.counting === 'length' ? `${n / 1e6} m` : String(n));
  const sentences: Record<StockRefusal['code'], string> = {
    more_than_left: `Only ${say(refusal.have)} left by the ledger, not ${say(refusal.need)}. Count it first if that is wrong.`,
    nothing_to_refill: 'There is none on the shelf to refill. Buy or count it first.',
    not_refillable: 'This is counted one by one and cannot be refilled; use “buy” instead.',
    left_exceeds_items: `What is left (${say(refusal.need)} uses) is more than full ones hold (${say(refusal.have)}).`,
    no_such_part: 'This form keeps no such separate count.',
    too_many: `${say(refusal.need)} is more than anyone owns; check the number.`,
  };
  throw new Refusal(422, refusal.code, sentences[refusal.code]);
}
