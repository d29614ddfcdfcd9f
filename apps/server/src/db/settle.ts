import { FOLD_VERSION, HAND_ID, ROOM_ID } from '@red-shelf/core';
import { rootUnits } from '@red-shelf/contract';
import { lt, sql } from 'drizzle-orm';
import { refold } from './foldRepository';
import { commands, units } from './schema';
import { allRecords } from './supplyRepository';
import type { Tx } from './tx';
import { unpackReservations } from './unpackReservations';
import { unpackSittings } from './unpackSittings';
import { putSetting, setting, unitRecords } from './unitRepository';

const FOLDED_BY = 'foldVersion';
/** Where it is kept that what is put aside is kept by projects. */
const ASIDE_BY = 'asideBy';

/** How long a command's answer is kept for being asked again; its change keeps the command's name for good. */
const ANSWERS_KEPT = '-60 days';
const forgetOldAnswers = (tx: Tx) =>
  tx.delete(commands).where(lt(commands.at, sql`strftime('%Y-%m-%dT%H:%M:%fZ', 'now', ${ANSWERS_KEPT})`));

/** What every stash has when it is opened: a room and a hand, and tallies made by the rules of today. */
export async function settle(tx: Tx): Promise<void> {
  const there = await unitRecords(tx, [ROOM_ID, HAND_ID]);
  for (const unit of rootUnits('')) if (!there.has(unit.id)) await tx.insert(units).values(unit);
  await forgetOldAnswers(tx);
  await unpackSittings(tx);
  if ((await setting(tx, ASIDE_BY)) === undefined) {
    await unpackReservations(tx);
    await putSetting(tx, ASIDE_BY, 'projects');
  }
  if ((await setting(tx, FOLDED_BY)) === String(FOLD_VERSION)) return;
  await refold(tx, await allRecords(tx));
  await putSetting(tx, FOLDED_BY, String(FOLD_VERSION));
}
