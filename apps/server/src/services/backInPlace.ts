import type { PlaceSpot, Refusal } from '@red-shelf/core';
import { stoodBefore, writtenAfter } from '../db/eventRepository';
import type { Tx } from '../db/tx';
import { Room, type LotOf } from './room';

/** A lot that goes back to where it stood before a change. */
export interface Back {
  readonly thing: LotOf;
  readonly to: PlaceSpot | null;
}
/** One that cannot, and why. */
interface Stays {
  readonly thing: LotOf;
  readonly no: Refusal;
}

/** What a place says because of what else is there, not of what the thing is. */
const FULL: ReadonlySet<Refusal['code']> = new Set(['limit_reached', 'run_full', 'stack_full']);

/**
 * The lots that can go back at once, and the others. One whose place is taken or refuses stays, and then perhaps others must too.
 * What stood there before stands there again where the reason is as old: a place that is fuller than it may be takes it, as long
 * as nothing came to it since, for it may have been as full when what is there grew or its limit was lowered; and so does a place
 * of what was let go, as long as that was not said since.
 */
export async function thoseThatMay(
  tx: Tx,
  changeId: string,
  back: readonly Back[],
): Promise<{ readonly going: readonly Back[]; readonly staying: readonly Stays[] }> {
  const staying: Stays[] = [];
  const stood = memo(() => stoodBefore(tx, changeId));
  const written = memo(() => writtenAfter(tx, changeId));
  const wasSo = async (
    room: Room,
    { supply }: LotOf,
    { code }: Refusal,
    unitId: string,
  ): Promise<boolean> => {
    if (code === 'let_go') return !(await written()).has(supply.id);
    if (!FULL.has(code)) return false;
    const before = await stood();
    return room.livingIn(unitId).every(({ lot: { id } }) => {
      const spot = before?.get(id);
      return spot === undefined || spot?.unitId === unitId;
    });
  };
  for (let going = back; ;) {
    const unitIds = going.flatMap(({ thing, to }) => [to?.unitId ?? [], thing.lot.spot?.unitId ?? []].flat());
    const room = await Room.of(tx, unitIds);
    for (const { thing } of going) room.lift(thing);
    const may: Back[] = [];
    for (const each of going) {
      const { thing, to } = each;
      const lifted = { ...thing, lot: { ...thing.lot, spot: null } };
      const no = to && room.setDown(lifted, to);
      if (!no) may.push(each);
      else if (await wasSo(room, thing, no, to.unitId)) {
        room.putBack(lifted, to);
        may.push(each);
      } else staying.push({ thing, no });
    }
    if (may.length === going.length) return { going, staying };
    going = may;
  }
}

/** Asks once. */
function memo<T>(ask: () => Promise<T>): () => Promise<T> {
  let asked: Promise<T> | undefined;
  return () => (asked ??= ask());
}
