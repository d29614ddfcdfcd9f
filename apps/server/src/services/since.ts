import { DEFAULT_SCHEME } from '@red-shelf/core';
import {
  orderName,
  PREFERENCES_ID,
  type RecordView,
  type SupplyView,
  type WallView,
} from '@red-shelf/contract';
import { Refusal } from './refusal';
import { stashList, type Context } from './context';
import { listRecords } from './records';
import { getWall } from './wall';

interface Since {
  seq: number;
  order: string;
  all: boolean;
  supplies: SupplyView[];
  gone: string[];
  wall: WallView;
  records: RecordView[];
}

/** What changed after a number that a client knows: the supplies it has to learn, and the short lists whole. */
export async function changedSince(context: Context, known: string): Promise<Since> {
  if (!/^\d{1,15}$/.test(known))
    throw new Refusal(422, 'invalid', 'Say the number of the last change that is known, or 0.');
  const { seq, all, supplies, gone } = await stashList(context).since(Number(known));
  // Read after: what is newer than the number does no harm, what is older would be missed.
  const beside = await besideList(context);
  return {
    seq,
    all,
    supplies: [...supplies],
    gone: [...gone],
    ...beside,
    order: orderOf(beside.records),
  };
}

/** The name of the person's own rainbow order. */
function orderOf(records: readonly RecordView[]): string {
  const kept = records.find(({ id }) => id === PREFERENCES_ID)?.body;
  const { familyOrder, lightness } = kept?.sort === 'preferences' ? kept : DEFAULT_SCHEME;
  return orderName(familyOrder, lightness);
}

/** Walls and records, kept ready. */
export const besideList = (context: Context): Promise<{ wall: WallView; records: RecordView[] }> =>
  stashList(context).beside(async () => ({
    wall: await getWall(context),
    records: await listRecords(context),
  }));
