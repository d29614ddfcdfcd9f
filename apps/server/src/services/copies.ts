import { existsSync } from 'node:fs';
import { mkdir, readdir, rename, rm } from 'node:fs/promises';
import { dirname, join, parse } from 'node:path';
import { asideOf } from './aside';
import type { Context } from './context';

/** So many days have a copy of their own. */
const DAYS_KEPT = 7;
const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** Copies carry the name of their stash: several may lie in one folder. */
const copyName = (db: string, day: string): string => `${parse(db).name}-${day}.db`;
const isCopyOf = (db: string, name: string): boolean => {
  const day = name.slice(-13, -3);
  return DAY.test(day) && name === copyName(db, day);
};

const copiesFolder = (db: string): string => join(dirname(db), 'copies');

/** Copies beside a stash, the newest first. */
export const copiesOf = async (db: string): Promise<string[]> =>
  (await readdir(copiesFolder(db)).catch(() => []))
    .filter((name) => isCopyOf(db, name))
    .sort()
    .reverse()
    .map((name) => join(copiesFolder(db), name));

/** Writes the stash into a file that opens by itself: one state of it, as small as it can be. */
export async function copyInto({ store }: Context, file: string): Promise<void> {
  const beside = `${file}.part`;
  await rm(beside, { force: true });
  await store.copyInto(beside);
  await rename(beside, file);
}

/** A copy of today, where there is none yet; copies of more than a week of days ago make way. Answers whether one was made. */
export async function copyOfToday(context: Context, db: string): Promise<boolean> {
  const file = join(copiesFolder(db), copyName(db, context.ports.now().slice(0, 10)));
  if (existsSync(file)) return false;
  await mkdir(dirname(file), { recursive: true, mode: 0o700 });
  await asideOf(context)('copy', { file });
  for (const old of (await copiesOf(db)).slice(DAYS_KEPT)) await rm(old, { force: true });
  return true;
}
