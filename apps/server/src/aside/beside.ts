import { fork, type ChildProcess } from 'node:child_process';
import type { Written } from '../db/open';
import { inTurn } from '../db/inTurn';
import { busyNow, Refusal } from '../services/refusal';
import { workBehind } from '../jobs/behind';
import { heldBy } from '../jobs/held';
import type { Sent, Told } from './worker';
import type { Context } from '../services/context';
import type { Aside, TaskName } from '../services/aside';

/** How often a process at work is looked at, ms. */
const LOOK_MS = 100;
const MB = 1024 * 1024;
const MINUTE = 60_000;
/** How long a process without work is kept, and how large it may be then. */
const REST_MS = 30_000;
const MOST_AT_REST = 260 * MB;
/** So many work at the same time. */
const LANES = 2;
/** How much of its memory is heap. */
const HEAP_SHARE = 0.6;

interface Limits {
  readonly mostMs: number;
  readonly mostBytes: number;
}
const LIST: Limits = { mostMs: 20_000, mostBytes: 600 * MB };
const WHOLE: Limits = { mostMs: 15 * MINUTE, mostBytes: 900 * MB };
const LIMITS: Readonly<Record<TaskName, Limits>> = {
  readList: LIST,
  previewList: { ...LIST, mostMs: MINUTE },
  importList: { ...LIST, mostMs: 15 * MINUTE },
  restore: WHOLE,
  undo: WHOLE,
  document: WHOLE,
  copy: WHOLE,
  csv: WHOLE,
  sweep: WHOLE,
  arrange: { ...LIST, mostMs: MINUTE },
  startArrange: { ...LIST, mostMs: MINUTE },
  applyArrange: { ...LIST, mostMs: MINUTE },
  strips: { ...LIST, mostMs: MINUTE },
};
/** Tasks that write: the writes' turn is kept meanwhile. What only reads sees one state by itself. */
const ALONE: ReadonlySet<TaskName> = new Set([
  'restore',
  'undo',
  'importList',
  'startArrange',
  'applyArrange',
]);

const tooHeavy = (what: 'time' | 'memory'): Refusal =>
  new Refusal(
    422,
    'too_heavy',
    `This takes more ${what} than it is given here, which nothing this size should. It was broken off, and nothing was changed. Check that it is the right file.`,
  );

/** Where the stash lies, and who works on it. */
interface Place {
  readonly script: URL;
  readonly db: string;
  readonly photos: string;
}

/**
 * Long work in a process of its own: nobody waits for it but who asked, and what it reads can end only it. One that takes
 * too long or too much memory is ended; what it had begun to write is rolled back.
 */
export function asideProcess(
  { store, ended }: Pick<Context, 'store'> & { readonly ended?: AbortSignal },
  { script, ...place }: Place,
  limits: Partial<Record<TaskName, Limits>> = {},
): Aside {
  const idle: { readonly child: ChildProcess; readonly did: TaskName }[] = [];
  const queue: (() => void)[] = [];
  const alone = inTurn();
  let busy = 0;

  const start = (mostBytes: number): ChildProcess => {
    const child = fork(script, {
      serialization: 'advanced',
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
      // Before it is full it has to tidy up, so that it holds no more than it needs.
      execArgv: [`--max-old-space-size=${Math.round((mostBytes * HEAP_SHARE) / MB)}`],
    });
    workBehind(child);
    return child;
  };

  /** A process that did its work waits a little for more, unless it has grown. */
  const rest = (child: ChildProcess, did: TaskName): void => {
    if (ended?.aborted || heldBy(child) > MOST_AT_REST) return void child.kill('SIGKILL');
    idle.push({ child, did });
    child.unref();
    child.channel?.unref();
    child.once('exit', () => drop(child));
    child.once('error', () => drop(child));
    setTimeout(() => drop(child) && child.kill('SIGKILL'), REST_MS).unref();
    return undefined;
  };
  ended?.addEventListener('abort', () => idle.splice(0).forEach(({ child }) => child.kill('SIGKILL')));
  const drop = (child: ChildProcess): boolean => {
    const at = idle.findIndex((each) => each.child === child);
    if (at >= 0) idle.splice(at, 1);
    return at >= 0;
  };

  /** One that did the like before is quick at it. What is broken off again and again, and ends its process, takes no other's. */
  const next = (name: TaskName, mostBytes: number): ChildProcess => {
    const like = idle.find(({ did }) => did === name);
    const child = like?.child ?? (name === 'strips' ? undefined : idle.at(-1)?.child);
    if (child) drop(child);
    if (!child?.connected) return start(mostBytes);
    child.removeAllListeners();
    child.ref();
    child.channel?.ref();
    return child;
  };

  const inProcess = <A>(sent: Sent, report: (told: Told) => void, signal?: AbortSignal) =>
    new Promise<Written<A>>((resolve, reject) => {
      const { mostMs, mostBytes } = { ...LIMITS, ...limits }[sent.name];
      const child = next(sent.name, mostBytes);
      // Where the system has nothing left to start one with, it says so here, and never sets up the channel.
      if (child.pid === undefined) return void child.once('error', (error) => reject(busyNow(error)));
      const since = Date.now();
      const done = (): void => {
        clearInterval(looking);
        child.removeAllListeners();
        signal?.removeEventListener('abort', cancelled);
      };
      /** Its locks are gone when it is. */
      const end = (error: unknown): void => {
        done();
        const settle = () => reject(error instanceof Error ? error : new Error(String(error)));
        child.once('error', settle);
        if (child.exitCode !== null || child.signalCode !== null) return settle();
        child.once('exit', settle);
        child.kill('SIGKILL');
      };
      const cancelled = (): void => end(signal?.reason);
      const looking = setInterval(() => {
        if (Date.now() - since > mostMs) end(tooHeavy('time'));
        else if (heldBy(child) > mostBytes) end(tooHeavy('memory'));
      }, LOOK_MS);
      if (signal?.aborted) return cancelled();
      signal?.addEventListener('abort', cancelled);
      // Out of memory it is ended by a signal, or by itself with 134.
      child.once('exit', (code) =>
        end(code === null || code === 134 ? tooHeavy('memory') : new Error(`Work beside ended with ${code}`)),
      );
      child.once('error', end);
      child.on('message', (told: Told) => {
        if ('progress' in told) return report(told);
        if ('failed' in told) return end(Object.assign(new Error(told.failed), { code: told.code }));
        done();
        rest(child, sent.name);
        if ('answer' in told) return resolve({ answer: told.answer as A, touched: told.touched });
        const { status, code, title, type: _, ...more } = told.problem;
        return reject(new Refusal(status, code, title, more));
      });
      child.send({ ...sent, ...place }, (error) => error && end(error));
      return undefined;
    });
  /** A few at a time, so that they hold no more memory than a few do; who hung up meanwhile is not waited for. */
  const inLane = async <A>(work: () => Promise<A>, signal?: AbortSignal): Promise<A> => {
    if (busy >= LANES)
      await new Promise<void>((go, leave) => {
        const gone = (): void => {
          queue.splice(queue.indexOf(turn), 1);
          leave(signal?.reason as Error);
        };
        const turn = (): void => {
          signal?.removeEventListener('abort', gone);
          go();
        };
        queue.push(turn);
        signal?.addEventListener('abort', gone);
      });
    else busy++;
    try {
      signal?.throwIfAborted();
      return await work();
    } finally {
      // The lane is handed to the next one, so that nobody who comes in between takes it.
      const next = queue.shift();
      if (next) next();
      else busy--;
    }
  };

  return async (name, task, { report, signal } = {}) => {
    const work = () =>
      inProcess<never>(
        { name, task, ...place, identity: store.identity },
        (told) => 'progress' in told && report?.(told.progress),
        signal,
      );
    if (!ALONE.has(name)) return inLane(() => work().then(({ answer }) => answer), signal);
    // One that writes takes one lane, and takes it first: the writes' turn is not kept while it waits for others.
    return alone(() => inLane(() => store.exclusive(work), signal));
  };
}
