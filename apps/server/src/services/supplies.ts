import {
  formFor,
  formOf,
  inStash,
  PARTS,
  planPosting,
  countRuleOf,
  type Holding,
  type Posted,
  type StockRequest,
} from '@red-shelf/core';
import {
  coloured,
  type ChangeView,
  type EditedSupply,
  type LedgerView,
  type LiftedView,
  type NewSupply,
  type SupplyView,
} from '@red-shelf/contract';
import { historyOf } from '../db/foldRepository';
import type { SupplyRecord } from '../db/supplyRepository';
import { notFound, Refusal } from './refusal';
import { refuseStale, stashList, type Context } from './context';
import { mustFind } from './find';
import { liftUnfit } from './placing';
import { madeId, type Ports } from './ports';
import { Recorder } from './recorder';
import { refusePosting } from './stockWords';
import { letGo } from './verdict';
import { supplyToView } from './views';

export interface ChangedSupply {
  supply: SupplyView;
  change: ChangeView;
}

export async function getSupply(
  context: Context,
  id: string,
): Promise<{ supply: SupplyView; ledger: LedgerView[] }> {
  const supply = await stashList(context).one(id);
  if (!supply) throw notFound('supply');
  const { events, folded } = await historyOf(context.store.read, supply);
  const ledger = events.map(({ postings: _, ...event }): LedgerView => {
    const missing = folded.unlogged.get(event.id);
    return { ...event, shifts: [...event.shifts], ...(missing ? { unlogged: missing } : {}) };
  });
  return { supply, ledger };
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

type Counted = Pick<SupplyRecord, 'kind' | 'form' | 'facts'>;

/** Plans an act on a supply's lots, or refuses it with a sentence. */
export function planned(
  ports: Ports,
  supply: Counted,
  lots: readonly Holding[],
  request: StockRequest,
): Posted {
  const form = formFor(supply);
  const plan = planPosting(request, lots, form, countRuleOf(form), () => madeId(ports));
  if ('code' in plan) throw refusePosting(plan, form);
  return plan;
}

/** The acts that open a new supply's ledger: its count, and those of its packs, bases and scraps. */
function openings(
  ports: Ports,
  supply: SupplyRecord,
  main: Holding | undefined,
  given: Pick<NewSupply, 'count' | 'parts'>,
): { supplyId: string; act: Posted }[] {
  const lots = main ? [main] : [];
  const count = planned(ports, supply, lots, { act: 'count', ...given.count });
  const parts = PARTS.flatMap((of) => {
    const left = given.parts?.[of] ?? 0;
    return left > 0 ? [planned(ports, supply, lots, { act: 'count', of, items: 0, left })] : [];
  });
  return [count, ...parts].map((act) => ({ supplyId: supply.id, act }));
}

/** Adds supplies with what there is of each. */
export async function addCounted(
  recorder: Recorder,
  ports: Ports,
  given: readonly { readonly record: SupplyRecord; readonly counted: Pick<NewSupply, 'count' | 'parts'> }[],
): Promise<void> {
  const main = await recorder.addSupplies(given.map(({ record }) => record));
  await recorder.post(
    given.flatMap(({ record, counted }) => openings(ports, record, main.get(record.id), counted)),
  );
}

export async function addSupply({ store, ports }: Context, given: NewSupply): Promise<ChangedSupply> {
  return store.write(async (tx) => {
    const recorder = new Recorder(tx, ports);
    const record = newRecord(madeId(ports), ports.now(), given);
    await addCounted(recorder, ports, [{ record, counted: given }]);
    const change = await recorder.finish('add', record.name, 1);
    return { supply: supplyToView(await mustFind(tx, record.id)), change };
  });
}

export async function editSupply(
  { store, ports }: Context,
  id: string,
  given: EditedSupply,
): Promise<ChangedSupply & { lifted: LiftedView }> {
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
    const after = { ...before, ...coloured(fields), version: version + 1, updatedAt: ports.now() };
    await recorder.writeSupply(before, after);
    if (inStash(before) && !inStash(after)) await letGo(recorder, [found]);
    const lifted = await liftUnfit(tx, recorder, [after]);
    const change = await recorder.finish('edit', fields.name, 1);
    return { supply: supplyToView(await mustFind(tx, id)), change, lifted };
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
    await recorder.removeSupplies([found.supply]);
    return recorder.finish('remove', found.supply.name, 1);
  });
}
