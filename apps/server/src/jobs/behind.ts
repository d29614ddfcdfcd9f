import type { ChildProcess } from 'node:child_process';
import { setPriority } from 'node:os';

/** A little behind: it has about half the share of one that does not wait, and still gets on where many wait. */
const BEHIND = 3;

/**
 * Puts a process behind the one that answers requests: where there are fewer cores than work, whoever waits for an answer goes
 * first. A system that does not allow it leaves it as it is.
 */
export function workBehind({ pid }: Pick<ChildProcess, 'pid'>): void {
  if (pid === undefined) return;
  try {
    setPriority(pid, BEHIND);
  } catch {
    // It is slower then for others, and no worse.
  }
}
