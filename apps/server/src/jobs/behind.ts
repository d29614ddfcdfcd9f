import type { ChildProcess } from 'node:child_process';
import { constants, setPriority } from 'node:os';

/**
 * Puts a process behind the one that answers requests: where there are fewer cores than work, whoever waits for an answer goes
 * first. A system that does not allow it leaves it as it is.
 */
export function workBehind({ pid }: Pick<ChildProcess, 'pid'>): void {
  if (pid === undefined) return;
  try {
    setPriority(pid, constants.priority.PRIORITY_BELOW_NORMAL);
  } catch {
    // It is slower then for others, and no worse.
  }
}
