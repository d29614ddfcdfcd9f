import { fold, mainLot, spotCalled, type Aside, type Holding, type LotSaid } from '@red-shelf/core';
import { groupBody, type GroupBody } from '@red-shelf/contract';
import { lotsOf } from '../db/holdingRepository';
import { standingRecords } from '../db/recordRepository';
import type { SupplyRecord } from '../db/supplyRepository';
import type { Tx } from '../db/tx';
import { standingUnits } from '../db/unitRepository';
import type { Context } from './context';
import type { Recorder, Move } from './recorder';
import { parsed } from './refusal';
import { Room } from './room';
import { planned } from './supplies';
import { unitToView } from './views';

type Ports = Context['ports'];

/** Something new of a list: where it says it is, and how it is spread. */
interface Added {
  readonly record: SupplyRecord;
  readonly place: string;
  readonly lots: readonly LotSaid[] | null;
}
interface Placing {
  readonly record: SupplyRecord;
  readonly lotId: string;
  readonly place: string;
}

/** Makes the lots a list speaks of, and sets each down where it says, as far as it may live there; the rest has no place yet. */
export async function spreadOut(
  tx: Tx,
  recorder: Recorder,
  ports: Ports,
  added: readonly Added[],
): Promise<void> {
  const told = added.filter(({ place, lots }) => place !== '' || lots !== null);
  if (told.length === 0) return;
  const there = await lotsOf(
    tx,
    told.map(({ record }) => record.id),
  );
  const placings: Placing[] = [];
  for (const { record, place, lots } of told) {
    const main = mainLot(there.get(record.id) ?? []);
    if (!main) continue;
    if (!lots) placings.push({ record, lotId: main.id, place });
    else placings.push(...(await makeLots(recorder, ports, record, main, lots)));
  }
  await setDownAll(tx, recorder, placings);
}

/** A supply's lots as a list says them, the first being its main one; that one is counted already. */
async function makeLots(
  recorder: Recorder,
  ports: Ports,
  record: SupplyRecord,
  main: Holding,
  said: readonly LotSaid[],
): Promise<Placing[]> {
  const made = said.map(({ as, sizeUm }, i): Holding =>
    i === 0
      ? main
      : { id: ports.newId(), version: 1, supplyId: record.id, as, sizeUm, spot: null, items: 0, left: 0 },
  );
  await recorder.addLots(made.slice(1).map((lot) => ({ supplyId: record.id, lot })));
  await recorder.post(
    said.slice(1).map(({ as, items, left }, i) => {
      const counted = as === 'whole' ? { items, left } : { items: 0, left: items };
      const act = planned(ports, record, made, { act: 'count', lotId: made[i + 1]?.id, ...counted });
      return { supplyId: record.id, act };
    }),
  );
  return said.flatMap(({ place }, i) => {
    const lot = made[i];
    return lot && place !== '' ? [{ record, lotId: lot.id, place }] : [];
  });
}

async function setDownAll(tx: Tx, recorder: Recorder, placings: readonly Placing[]): Promise<void> {
  const units = (await standingUnits(tx)).filter(({ sort }) => sort === 'unit').map(unitToView);
  const wanted = placings.flatMap(({ place, ...what }) => {
    const spot = spotCalled(place, units);
    return spot ? [{ ...what, spot }] : [];
  });
  const room = await Room.of(tx, [...new Set(wanted.map(({ spot }) => spot.unitId))]);
  const there = await lotsOf(
    tx,
    wanted.map(({ record }) => record.id),
  );
  const moves: Move[] = [];
  for (const { record, lotId, spot } of wanted) {
    const lot = there.get(record.id)?.find(({ id }) => id === lotId);
    const to = { ...spot, rank: room.nextRank(spot.unitId, spot.cell) };
    if (lot && room.setDown({ supply: record, lot }, to) === null) moves.push({ lotId, to });
  }
  await recorder.move(moves);
}

/** What a list says is put aside: each project keeps so much back; one that is not there yet is begun. */
export async function putAside(
  tx: Tx,
  recorder: Recorder,
  ports: Ports,
  said: readonly { readonly supplyId: string; readonly aside: readonly Aside[] }[],
): Promise<void> {
  if (said.every(({ aside }) => aside.length === 0)) return;
  const open = (await standingRecords(tx)).flatMap((row) =>
    row.body.sort === 'group' && row.body.what === 'project' && row.body.dissolvedOn === null
      ? [{ row, body: row.body }]
      : [],
  );
  const byName = new Map<string, { body: GroupBody; row: (typeof open)[number]['row'] | null }>(
    open.map((each) => [fold(each.body.name), each]),
  );
  const spoken = new Set(said.map(({ supplyId }) => supplyId));
  const amounts = new Map<string, Map<string, number>>();
  for (const { supplyId, aside } of said)
    for (const { project, amount } of aside) {
      const key = fold(project);
      const of = amounts.get(key) ?? new Map<string, number>();
      amounts.set(key, of.set(supplyId, (of.get(supplyId) ?? 0) + amount));
      if (!byName.has(key)) byName.set(key, { row: null, body: begun(project) });
    }
  for (const [key, { row, body }] of byName) {
    const now = amounts.get(key) ?? new Map<string, number>();
    const members = body.members.map((each) =>
      spoken.has(each.supplyId) ? { ...each, amount: now.get(each.supplyId) ?? 0 } : each,
    );
    const known = new Set(members.map(({ supplyId }) => supplyId));
    for (const [supplyId, amount] of now) if (!known.has(supplyId)) members.push({ supplyId, amount });
    const after = parsed(groupBody, { ...body, members });
    if (row && JSON.stringify(after.members) === JSON.stringify(body.members)) continue;
    const at = ports.now();
    await recorder.putRecord(row, {
      id: row?.id ?? ports.newId(),
      sort: 'group',
      body: after,
      version: (row?.version ?? 0) + 1,
      createdAt: row?.createdAt ?? at,
      updatedAt: at,
      removedAt: null,
    });
  }
}

const begun = (name: string): GroupBody => groupBody.parse({ sort: 'group', what: 'project', name });
