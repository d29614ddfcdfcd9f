import { existsSync, readFileSync, statSync } from 'node:fs';

/** A test where the system tells what is locked; elsewhere it is passed over. */
export const whereLocksAreTold = existsSync('/proc/locks') ? test : test.skip;

/** The locks this process holds on files, as the system tells them. */
export function locksOn(files: readonly string[]): string[] {
  const inodes = files.map((file) => statSync(file).ino);
  return readFileSync('/proc/locks', 'utf8')
    .split('\n')
    .map((line) => line.trim().split(/\s+/))
    .filter(
      ([, , , , pid, at = '']) => pid === String(process.pid) && inodes.includes(Number(at.split(':')[2])),
    )
    .map(([, , , how, , at, from]) => `${how} ${at} ${from}`)
    .sort();
}
