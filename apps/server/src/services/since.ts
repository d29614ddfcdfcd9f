import { DEFAULT_SCHEME } from '@red-shelf/core';
import {
  orderName,
  PREFERENCES_ID,
  type RecordView,
  type SupplyView,
  type WallView,
} from '@red-shelf/contract';
import { recordRow, recordsSince } from '../db/recordRepository';
import { Refusal } from './refusal';
import { stashList, type Context } from './context';
import { listRecords, recordToView } from './records';
import { getWall } from './wall';

interface Since {
  seq: number;
  order: string;
  all: boolean;
  supplies: SupplyView[];
  gone: string[];
  wall: WallView;
  changedRecords: RecordView[];
  goneRecords: string[];
}

/** What changed after a number that a client knows: the supplies and records it has to learn, and the wall. */
export async function changedSince(context: Context, known: string): Promise<Since> {
  if (!/^\d{1,15}$/.test(known))
    throw new Refusal(422, 'invalid', 'Say the number of the last change that is known, or 0.');
  const { seq, all, supplies, gone } = await stashList(context).since(Number(known));
  // Read after: what is newer than the number does no harm, what is older would be missed.
  return {
    seq,
    all,
    supplies: [...supplies],
    gone: [...gone],
    wall: await wallNow(context),
    ...(await newsOfRecords(context, all ? null : Number(known))),
    order: await orderNow(context),
  };
}

/** All records, or what became of them after a number. */
async function newsOfRecords(
  context: Context,
  known: number | null,
): Promise<Pick<Since, 'changedRecords' | 'goneRecords'>> {
  if (known === null) return { changedRecords: await recordsNow(context), goneRecords: [] };
  if (stashList(context).recordsKnown(known)) return { changedRecords: [], goneRecords: [] };
  const rows = await recordsSince(context.store.read, known);
  return {
    changedRecords: rows.filter(({ removedAt }) => removedAt === null).map(recordToView),
    goneRecords: rows.filter(({ removedAt }) => removedAt !== null).map(({ id }) => id),
  };
}

/** The name of the person's own rainbow order. */
const orderNow = (context: Context): Promise<string> =>
  stashList(context).beside('order', () => readOrder(context));

async function readOrder({ store }: Context): Promise<string> {
  const row = await recordRow(store.read, PREFERENCES_ID);
  const kept = row?.removedAt === null ? row.body : null;
  const { familyOrder, lightness } = kept?.sort === 'preferences' ? kept : DEFAULT_SCHEME;
  return orderName(familyOrder, lightness);
}

/** The wall, kept ready. */
export const wallNow = (context: Context): Promise<WallView> =>
  stashList(context).beside('wall', () => getWall(context));

/** Every record, kept ready. */
export const recordsNow = (context: Context): Promise<RecordView[]> =>
  stashList(context).beside('records', () => listRecords(context));
