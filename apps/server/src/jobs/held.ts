import type { ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';

const PAGE_BYTES = 4096;

/** Memory a process holds, bytes; 0 where the system does not tell. */
export function heldBy({ pid }: Pick<ChildProcess, 'pid'>): number {
  try {
    return Number(readFileSync(`/proc/${pid}/statm`, 'utf8').split(' ')[1]) * PAGE_BYTES;
  } catch {
    return 0;
  }
}
