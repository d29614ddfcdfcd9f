import { fork, type ChildProcess } from 'node:child_process';
import { workBehind } from '../jobs/behind';
import { busyNow } from '../services/refusal';
import type { Context } from '../services/context';
import type { Answers, Reader } from '../services/reading';
import type { Heard, ReaderPlace, ReaderSays } from './readerProcess';

const MB = 1024 * 1024;
/** How much of the stash it may hold, bytes of heap. */
const MOST_HEAP = 1200 * MB;
/** Asked for nothing so long, it makes room for other programs, ms. */
const REST_MS = 20 * 60_000;

interface Waiting {
  readonly resolve: (json: Buffer) => void;
  readonly reject: (error: Error) => void;
}

/**
 * Long reading in a process of its own that stays and keeps what it read: what is worked out of the whole stash holds up no
 * other answer. It is told of every change before it is asked again; one that ends is started again with the next question.
 */
export function readerProcess(
  { store, ended: noMore }: Pick<Context, 'store'> & { readonly ended?: AbortSignal },
  script: URL,
  place: Omit<ReaderPlace, 'identity'>,
): Reader {
  let child: ChildProcess | null = null;
  let resting: ReturnType<typeof setTimeout> | undefined;
  let asked = 0;
  const waiting = new Map<number, Waiting>();

  const ended = (of: ChildProcess, why: Error): void => {
    if (child !== of) return;
    child = null;
    for (const { reject } of waiting.values()) reject(why);
    waiting.clear();
  };
  const start = (): ChildProcess => {
    const begun = fork(script, {
      serialization: 'advanced',
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
      execArgv: [`--max-old-space-size=${MOST_HEAP / MB}`, '--enable-source-maps'],
    });
    workBehind(begun);
    child = begun;
    begun.once('error', (error) => ended(begun, busyNow(error)));
    if (begun.pid === undefined) return begun;
    begun.once('exit', (code, signal) =>
      ended(begun, new Error(`Reading beside ended with ${code ?? signal}`)),
    );
    begun.on('message', (said: ReaderSays) => {
      const wait = waiting.get(said.id);
      waiting.delete(said.id);
      // A server that has nothing else to do may end.
      if (waiting.size === 0) letEnd(begun);
      if ('json' in said) wait?.resolve(Buffer.from(said.json));
      else wait?.reject(new Error(said.failed));
    });
    tell(begun, { place: { ...place, identity: store.identity } });
    letEnd(begun);
    return begun;
  };
  const letEnd = (of: ChildProcess): void => {
    of.unref();
    of.channel?.unref();
  };
  const tell = (to: ChildProcess, heard: Heard): void =>
    void (to.connected && to.send(heard, (error) => error && ended(to, error)));

  noMore?.addEventListener('abort', () => child?.kill());
  store.onTouched((touched) => child && tell(child, { touched }));
  return (what: Answers) =>
    new Promise((resolve, reject) => {
      clearTimeout(resting);
      resting = setTimeout(() => child?.kill(), REST_MS).unref();
      const to = child ?? start();
      const id = asked++;
      waiting.set(id, { resolve, reject });
      to.ref();
      to.channel?.ref();
      tell(to, { id, what });
    });
}
