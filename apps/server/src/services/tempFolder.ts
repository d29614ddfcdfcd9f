import { mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const PREFIX = 'red-shelf-';
/** The process that made a folder is in its name, so that the next one knows whether anybody still needs it. */
const NAMED = /^red-shelf-(?:in|out)-(\d+)-/;

/** Does work in a folder of its own that is gone afterwards. `what` begins its name. */
export async function inTempFolder<T>(what: 'in' | 'out', work: (folder: string) => Promise<T>): Promise<T> {
  const folder = await mkdtemp(join(tmpdir(), `${PREFIX}${what}-${process.pid}-`));
  try {
    return await work(folder);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

const isRunning = (pid: number): boolean => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    // It runs, and is another person's.
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
};

/** Removes the folders of processes that were killed in the middle of their work. Answers how many went. */
export async function sweepTempFolders(): Promise<number> {
  let gone = 0;
  for (const name of await readdir(tmpdir())) {
    const pid = Number(NAMED.exec(name)?.[1] ?? NaN);
    if (Number.isNaN(pid) || isRunning(pid)) continue;
    await rm(join(tmpdir(), name), { recursive: true, force: true }).catch(() => undefined);
    gone++;
  }
  return gone;
}
