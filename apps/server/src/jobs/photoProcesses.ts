import { fork, type ChildProcess } from 'node:child_process';
import { workBehind } from './behind';
import { heldBy } from './held';
import type { PhotoRefusal, PreparedPhoto } from './preparePhoto';

type Answer = PreparedPhoto | PhotoRefusal;

interface Limits {
  /** At most so many pictures are read at the same time, each by a process of its own. */
  readonly lanes?: number;
  readonly mostMs?: number;
  readonly mostBytes?: number;
}

/** How often a process that reads a picture is looked at, ms. */
const LOOK_MS = 100;
/** How long a process without work is kept, ms. */
const IDLE_MS = 60_000;

/**
 * Runs `preparePhoto` in processes of their own. One that takes too long or too much memory is ended, and its picture
 * counts as unreadable; the next one begins anew, so that a bad picture holds up nobody.
 */
export function photoProcesses(
  script: URL,
  { lanes = 2, mostMs = 15_000, mostBytes = 700 * 1024 * 1024 }: Limits = {},
): (bytes: Buffer) => Promise<Answer> {
  const idle: ChildProcess[] = [];
  const queue: (() => void)[] = [];
  let busy = 0;

  const start = (): ChildProcess => {
    const child = fork(script, { serialization: 'advanced', stdio: ['ignore', 'ignore', 'ignore', 'ipc'] });
    workBehind(child);
    child.on('exit', () => {
      const at = idle.indexOf(child);
      if (at >= 0) idle.splice(at, 1);
    });
    return child;
  };

  const rest = (child: ChildProcess): void => {
    idle.push(child);
    // The server may end while a process waits for work.
    child.unref();
    child.channel?.unref();
    setTimeout(() => idle.includes(child) && child.kill(), IDLE_MS).unref();
  };

  const work = (bytes: Buffer): Promise<Answer> =>
    new Promise((resolve, reject) => {
      const child = idle.pop() ?? start();
      // Where the system has nothing left to start one with, it says so here, and never sets up the channel.
      if (child.pid === undefined) return void child.once('error', (error) => reject(error));
      child.ref();
      child.channel?.ref();
      const since = Date.now();
      const end = (answer: Answer, keep: boolean): void => {
        clearInterval(looking);
        child.removeAllListeners('message');
        child.removeListener('exit', died);
        child.removeListener('error', died);
        if (keep) rest(child);
        else child.kill('SIGKILL');
        resolve(answer);
      };
      const died = (): void => end('unreadable', false);
      const looking = setInterval(() => {
        if (Date.now() - since > mostMs || heldBy(child) > mostBytes) end('unreadable', false);
      }, LOOK_MS);
      child.once('exit', died);
      child.once('error', died);
      child.once('message', (answer: Answer) => end(answer, true));
      child.send(bytes, (error) => error && end('unreadable', false));
      return undefined;
    });

  return async (bytes) => {
    if (busy >= lanes) await new Promise<void>((go) => queue.push(go));
    busy++;
    try {
      return await work(bytes);
    } finally {
      busy--;
      queue.shift()?.();
    }
  };
}
