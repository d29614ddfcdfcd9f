import type { RecordView, SupplyView, WallView } from '@red-shelf/contract';
import { Refusal } from '../http/problem';
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
  const list = stashList(context);
  const { seq, all, supplies, gone } = await list.since(Number(known));
  return {
    seq,
    order: await list.order(),
    all,
    supplies: [...supplies],
    gone: [...gone],
    wall: await getWall(context),
    records: await listRecords(context),
  };
}
