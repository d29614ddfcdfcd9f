import { inStash, isOnWall, sameSpot } from '@red-shelf/core';
import { planOf, type ChangeView, type RecordView } from '@red-shelf/contract';
import { stoodBefore } from '../../db/eventRepository';
import type { Context } from '../context';
import { newRow, recordToView } from '../records';
import { Recorder } from '../recorder';
import { notFound, Refusal } from '../refusal';
import { readStash } from './plan';

const NAME = 'Back to how it stood';

/**
 * Begins a plan back to how everything stood before a change: what was moved since goes back to where it was, if its place is there
 * still and it is in the stash. Nothing is moved yet.
 */
export async function arrangeBack(
  { store, ports }: Context,
  { changeId }: { readonly changeId: string },
): Promise<{ record: RecordView; change: ChangeView }> {
  return store.write(async (tx) => {
    const before = await stoodBefore(tx, changeId);
    if (!before) throw notFound('change');
    const { units, supplies } = await readStash(tx);
    const standing = new Set(
      units.flatMap((unit) => (unit.sort === 'unit' && isOnWall(unit) ? [unit.id] : [])),
    );
    const lots = supplies.flatMap((supply) => (inStash(supply) ? supply.holdings : []));
    const moves = lots.flatMap(({ id, spot }) => {
      const to = before.get(id);
      if (to === undefined || sameSpot(spot, to)) return [];
      return to === null || standing.has(to.unitId) ? [{ lotId: id, from: spot, to }] : [];
    });
    if (moves.length === 0)
      throw new Refusal(422, 'nothing_to_do', 'Everything stands where it stood before that.');
    const row = newRow(ports, planOf(NAME, moves));
    const recorder = new Recorder(tx, ports);
    await recorder.putRecord(null, row);
    return { record: recordToView(row), change: await recorder.finish('record', NAME, 1) };
  });
}
