/** Taking a change back. Long, since each sort of thing a change can touch is taken back here, in one order that matters. */
import { ROOM_ID, sameSpot, unitLettered, type PlaceSpot } from '@red-shelf/core';
import { nameOfRecord, type ChangeView, type KeptView, type LiftedView } from '@red-shelf/contract';
import { and, eq, gt, isNull } from 'drizzle-orm';
import { eventsOfChange, type EventRecord } from '../db/eventRepository';
import { saysStill } from '../db/fingerprint';
import { lotsByIds, lotsOf } from '../db/holdingRepository';
import { recordRow } from '../db/recordRepository';
import { changes } from '../db/schema';
import { supplyRecords } from '../db/supplyRepository';
import type { Readable, Tx } from '../db/tx';
import { standingUnits, unitRecord } from '../db/unitRepository';
import { thoseThatMay, type Back } from './backInPlace';
import { notFound, Refusal } from './refusal';
import type { Context } from './context';
import { keepInPlace, liftUnfit, liftUnfitIn } from './placing';
import type { Ports } from './ports';
import { Recorder, type Inverse } from './recorder';
import { REPLACED, restoreSnapshot } from './restore';
import { emptyOfUnits, nextLabel } from './wall';

type Why = KeptView[number]['why'];

/** One undoing: what it writes, and what it has to leave as it is. */
class Undoing {
  readonly kept: KeptView = [];
  done = 0;
  constructor(
    readonly tx: Tx,
    readonly recorder: Recorder,
    readonly at: string,
    /** Supplies that the change moved itself: where they go back to is said by their moves. */
    private readonly moved: ReadonlySet<string>,
  ) {}
  /** Names what had to be lifted, though the change that is undone did not move it. */
  lifted(things: LiftedView): void {
    for (const { supplyId, name } of things)
      if (!this.moved.has(supplyId)) this.keep('place', name, 'refused');
  }
  keep(what: KeptView[number]['what'], name: string, why: Why): void {
    this.kept.push({ what, name, why });
  }
}

/** Supplies whose lots a change moved. */
const movedIn = ({ moves = [] }: Inverse, events: readonly EventRecord[]): ReadonlySet<string> =>
  new Set([
    ...events.flatMap(({ supplyId, shifts }) => (shifts.length > 0 ? [supplyId] : [])),
    ...moves.map(({ holdingId }) => holdingId),
  ]);

/** Whether undoing a change replaces the whole stash. */
export async function isRestore(db: Readable, id: string): Promise<boolean> {
  const [line] = await db.select({ inverse: changes.inverse }).from(changes).where(eq(changes.id, id));
  return (line?.inverse as Inverse | undefined)?.snapshotId !== undefined;
}

/**
 * Takes back of a change what can be taken back, and names what cannot: because something changed since, because a place
 * is taken or refuses now, because it is gone. Where nothing can be, nothing is written. The undo is a change too.
 */
export async function undoChange(
  { store, ports }: Context,
  id: string,
): Promise<{ change: ChangeView; kept: KeptView }> {
  return store.write(async (tx) => {
    const [line] = await tx.select().from(changes).where(eq(changes.id, id));
    if (!line) throw notFound('change');
    if (line.undoneBy === REPLACED)
      throw new Refusal(
        409,
        'changed_since',
        'That cannot be undone any more: the stash was replaced since.',
      );
    if (line.undoneBy) throw new Refusal(409, 'already_undone', 'That was undone already.');
    const inverse = line.inverse as Inverse;
    const recorder = new Recorder(tx, ports);
    const events = await eventsOfChange(tx, id);
    const undoing = new Undoing(tx, recorder, ports.now(), movedIn(inverse, events));
    if (inverse.snapshotId) await undoRestore(undoing, ports, line, inverse.snapshotId);
    await undoRecords(undoing, inverse);
    await undoUnits(undoing, inverse);
    await undoSupplies(undoing, inverse);
    await undoSizes(undoing, inverse);
    await undoStock(undoing, inverse, events);
    await undoMoves(undoing, id, inverse, events);
    if (undoing.done === 0 && undoing.kept.length > 0)
      throw new Refusal(409, 'changed_since', sayNothingUndone(undoing.kept), { current: undoing.kept });
    const change = await recorder.finish('undo', line.name, line.count);
    await tx.update(changes).set({ undoneBy: change.id }).where(eq(changes.id, id));
    return { change, kept: undoing.kept };
  });
}

const MOST_NAMED = 3;
function sayNothingUndone(kept: KeptView): string {
  const names = [...new Set(kept.map(({ name }) => name))].slice(0, MOST_NAMED).join(', ');
  return kept.every(({ why }) => why === 'taken' || why === 'refused')
    ? `That cannot be undone any more: the place of ${names} is taken, or takes it no longer.`
    : `That cannot be undone any more: ${names} was changed since.`;
}

/** A restore is taken back only while nothing came after it: nothing is swept away without a word. */
async function undoRestore(
  undoing: Undoing,
  ports: Ports,
  line: typeof changes.$inferSelect,
  snapshotId: string,
): Promise<void> {
  const { tx, recorder } = undoing;
  const since = await standingSince(tx, line.seq);
  if (since > 0)
    throw new Refusal(
      409,
      'changed_since',
      `${since === 1 ? 'One thing was' : `${since} things were`} done since the stash was replaced. Undo that first, or keep a copy of it; nothing was swept away.`,
    );
  recorder.inverse.snapshotId = await restoreSnapshot(tx, ports, snapshotId);
  // What was done and undone in between speaks of things that are not there any more.
  await tx
    .update(changes)
    .set({ undoneBy: REPLACED })
    .where(and(gt(changes.seq, line.seq), isNull(changes.undoneBy)));
  undoing.done++;
}

/** How many changes after one still stand: an undone undo brings its change back. */
async function standingSince(tx: Tx, seq: number): Promise<number> {
  const later = await tx
    .select({ id: changes.id, kind: changes.kind, undoneBy: changes.undoneBy })
    .from(changes)
    .where(gt(changes.seq, seq));
  const byId = new Map(later.map((each) => [each.id, each]));
  return later.filter(({ kind, undoneBy }) => {
    if (kind === 'undo') return false;
    let undone = false;
    for (let by = undoneBy; by !== null; by = byId.get(by)?.undoneBy ?? null) undone = !undone;
    return !undone;
  }).length;
}

async function undoRecords(undoing: Undoing, { records }: Inverse): Promise<void> {
  for (const { id, before, ...was } of records) {
    const now = await recordRow(undoing.tx, id);
    const name = now ? nameOfRecord(now.body) : '';
    if (!now || !saysStill(now, was)) {
      undoing.keep('record', name, now ? 'changed_since' : 'gone');
      continue;
    }
    const then = before ?? { ...now, removedAt: undoing.at };
    await undoing.recorder.putRecord(now, { ...then, version: now.version + 1, updatedAt: undoing.at });
    undoing.done++;
  }
}

async function undoUnits(undoing: Undoing, { units }: Inverse): Promise<void> {
  const { tx, recorder, at } = undoing;
  // Backwards: what moved out of something that was taken away finds it standing again.
  for (const { id, before, ...was } of [...units].reverse()) {
    const now = await unitRecord(tx, id);
    if (!now || !saysStill(now, was)) {
      undoing.keep('unit', now?.name ?? '', now ? 'changed_since' : 'gone');
      continue;
    }
    const then = { ...(before ?? { ...now, removedAt: at }), version: now.version + 1 };
    const standing = await standingUnits(tx);
    const above = standing.find((unit) => unit.id === then.parentId);
    if (then.parentId !== null && !above) then.parentId = ROOM_ID;
    if (then.removedAt === null && unitLettered(standing, then.label, id)) {
      then.label = nextLabel(standing, id);
      undoing.keep('unit', then.name, 'letter_taken');
    }
    const lifted =
      then.removedAt === null
        ? await keepInPlace(tx, recorder, now, then)
        : await liftUnfitIn(tx, recorder, then);
    undoing.lifted(lifted);
    if (then.removedAt !== null) await emptyOfUnits(tx, recorder, now);
    await recorder.putUnit(now, then);
    undoing.done++;
  }
}

async function undoSupplies(undoing: Undoing, { supplies }: Inverse): Promise<void> {
  const { tx, recorder, at } = undoing;
  const current = await supplyRecords(
    tx,
    supplies.map(({ id }) => id),
  );
  const added = [];
  const written = [];
  for (const { id, before, ...was } of supplies) {
    const now = current.get(id);
    if (!now || !saysStill(now, was)) {
      undoing.keep('supply', now?.name ?? '', now ? 'changed_since' : 'gone');
      continue;
    }
    undoing.done++;
    if (!before) {
      added.push(now);
      continue;
    }
    // What came with a later program is not in what an earlier one remembered.
    const then = { ...now, ...before, version: now.version + 1, updatedAt: at };
    await recorder.writeSupply(now, then);
    written.push(then);
  }
  await recorder.removeSupplies(added);
  undoing.lifted(
    await liftUnfit(
      tx,
      recorder,
      written.filter(({ removedAt }) => removedAt === null),
    ),
  );
  // What is out of the stash has no place, whatever happened to it since.
  const out = written.filter(({ removedAt }) => removedAt !== null).map(({ id }) => id);
  const lots = [...(await lotsOf(tx, out)).values()].flat();
  await recorder.move(lots.map(({ id }) => ({ lotId: id, to: null })));
}

async function undoSizes(undoing: Undoing, { lots }: Inverse): Promise<void> {
  const now = await lotsByIds(
    undoing.tx,
    lots.map(({ id }) => id),
  );
  const supplies = await supplyRecords(
    undoing.tx,
    [...now.values()].map(({ supplyId }) => supplyId),
  );
  for (const { id, before, after } of lots) {
    const lot = now.get(id);
    const supply = supplies.get(lot?.supplyId ?? '');
    if (!lot || !supply || JSON.stringify(lot.sizeUm) !== JSON.stringify(after)) {
      undoing.keep('supply', supply?.name ?? '', 'changed_since');
      continue;
    }
    await undoing.recorder.sizeLot(lot, before);
    undoing.done++;
    undoing.lifted(await liftUnfit(undoing.tx, undoing.recorder, [supply]));
  }
}

/** Cancels what the change's events did to stock. Those of supplies that came with the change go with them. */
async function undoStock(undoing: Undoing, inverse: Inverse, events: readonly EventRecord[]): Promise<void> {
  const added = new Set(inverse.supplies.filter(({ before }) => before === null).map(({ id }) => id));
  const lots = await lotsByIds(
    undoing.tx,
    events.flatMap(({ postings }) => postings.map(({ holdingId }) => holdingId)),
  );
  const undos = events
    .filter(({ supplyId, postings, act }) => !added.has(supplyId) && (postings.length > 0 || act === 'undo'))
    .map((event) => {
      // The undo names every lot it concerns, so that each one's history shows it.
      const marks = event.postings
        .filter(({ holdingId }) => lots.has(holdingId))
        .map(({ holdingId }) => ({ holdingId, items: 0, left: 0, how: 'by' as const }));
      return undoing.recorder.event(event.supplyId, { act: 'undo', undoes: event.id }, marks);
    });
  await undoing.recorder.append(undos);
  undoing.done += undos.length;
}

/** Puts back what the change moved, as far as nothing moved it since and its old place still takes it. */
async function undoMoves(
  undoing: Undoing,
  changeId: string,
  inverse: Inverse,
  events: readonly EventRecord[],
): Promise<void> {
  const { tx, recorder } = undoing;
  const net = new Map<string, { from: PlaceSpot | null; to: PlaceSpot | null }>();
  for (const { holdingId, from, to } of [...(inverse.moves ?? []), ...events.flatMap(({ shifts }) => shifts)])
    net.set(holdingId, { from: net.get(holdingId)?.from ?? (net.has(holdingId) ? null : from), to });
  const lots = await lotsByIds(tx, [...net.keys()]);
  const supplies = await supplyRecords(tx, [...new Set([...lots.values()].map(({ supplyId }) => supplyId))]);
  const back: Back[] = [];
  for (const [id, { from, to }] of net) {
    const lot = lots.get(id);
    const supply = supplies.get(lot?.supplyId ?? '');
    if (sameSpot(from, to)) continue;
    if (!lot || !supply) undoing.keep('place', supply?.name ?? '', 'gone');
    else if (sameSpot(lot.spot, from)) undoing.done++;
    else if (!sameSpot(lot.spot, to)) undoing.keep('place', supply.name, 'changed_since');
    else if (supply.removedAt !== null && from !== null) undoing.keep('place', supply.name, 'gone');
    else back.push({ thing: { supply, lot }, to: from });
  }
  const { going, staying } = await thoseThatMay(tx, changeId, back);
  for (const { thing, no } of staying)
    undoing.keep('place', thing.supply.name, no.code === 'taken' ? 'taken' : 'refused');
  await recorder.move(going.map(({ thing, to }) => ({ lotId: thing.lot.id, to })));
  undoing.done += going.length;
}
