import { fork } from 'node:child_process';
import { Refusal } from '../services/refusal';
import { heldBy } from '../jobs/held';
import type { Sent, Told } from './worker';
import type { Context } from '../services/context';
import type { Aside, TaskName } from '../services/aside';

/** How often a process at work is looked at, ms. */
const LOOK_MS = 100;
const MB = 1024 * 1024;
const MINUTE = 60_000;

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
};
/** Tasks that write, or must see one state: the writes' turn is kept meanwhile. */
const ALONE: ReadonlySet<TaskName> = new Set(['restore', 'undo', 'document', 'importList']);

const tooHeavy = (what: 'time' | 'memory'): Refusal =>
  new Refusal(
    422,
    'too_heavy',
    `This takes more ${what} than it is given here, which nothing this size should. It was broken off, and nothing was changed. Check that it is the right file.`,
  );

interface Place {
  readonly script: URL;
  readonly db: string;
  readonly migrations: string;
  readonly photos: string;
}

/**
 * Long work in a process of its own: nobody waits for it but who asked, and what it reads can end only it. One that takes
 * too long or too much memory is ended; what it had begun to write is rolled back.
 */
export function asideProcess(
  { store }: Pick<Context, 'store'>,
  { script, ...place }: Place,
  limits: Partial<Record<TaskName, Limits>> = {},
): Aside {
  const inProcess = <A>(sent: Sent, report: (told: Told) => void, signal?: AbortSignal) =>
    new Promise<{ answer: A; touched: Extract<Told, { answer: unknown }>['touched'] }>((resolve, reject) => {
      const { mostMs, mostBytes } = { ...LIMITS, ...limits }[sent.name];
      const child = fork(script, {
        serialization: 'advanced',
        stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
        execArgv: [`--max-old-space-size=${Math.round(mostBytes / MB)}`],
      });
      const since = Date.now();
      let over = false;
      const end = (settle: () => void): void => {
        if (over) return;
        over = true;
        clearInterval(looking);
        child.kill('SIGKILL');
        // Its locks are gone when it is.
        if (child.exitCode !== null || child.signalCode !== null) settle();
        else child.once('exit', settle);
      };
      const refuse = (error: unknown) =>
        end(() => reject(error instanceof Error ? error : new Error(String(error))));
      const looking = setInterval(() => {
        if (Date.now() - since > mostMs) refuse(tooHeavy('time'));
        else if (heldBy(child) > mostBytes) refuse(tooHeavy('memory'));
      }, LOOK_MS);
      signal?.addEventListener('abort', () => refuse(signal.reason));
      child.once('exit', () => refuse(tooHeavy('memory')));
      child.on('message', (told: Told) => {
        if ('progress' in told) report(told);
        else if ('problem' in told) {
          const { status, code, title, type: _, ...more } = told.problem;
          refuse(new Refusal(status, code, title, more));
        } else if ('failed' in told) refuse(new Error(told.failed));
        else end(() => resolve({ answer: told.answer as A, touched: told.touched }));
      });
      child.send({ ...sent, ...place }, (error) => error && refuse(error));
    });
  return async (name, task, { report, signal } = {}) => {
    const work = () =>
      inProcess<never>(
        { name, task, ...place },
        (told) => 'progress' in told && report?.(told.progress),
        signal,
      );
    if (ALONE.has(name)) return store.exclusive(work);
    return (await work()).answer;
  };
}
