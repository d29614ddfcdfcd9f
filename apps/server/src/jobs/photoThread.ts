import { Worker } from 'node:worker_threads';
import type { PreparedPhoto } from './preparePhoto';

type Waiting = { done: (photo: PreparedPhoto) => void; fail: (error: Error) => void };

/** Runs `preparePhoto` in a thread of its own, started when first needed. */
export function photoThread(script: URL): (bytes: Buffer) => Promise<PreparedPhoto> {
  let worker: Worker | undefined;
  let next = 0;
  const waiting = new Map<number, Waiting>();
  const failAll = (error: Error): void => {
    for (const { fail } of waiting.values()) fail(error);
    waiting.clear();
    worker = undefined;
  };
  const start = (): Worker => {
    const thread = new Worker(script);
    thread.on('message', ({ id, photo }: { id: number; photo: PreparedPhoto | null }) => {
      const one = waiting.get(id);
      waiting.delete(id);
      if (photo) one?.done({ ...photo, full: Buffer.from(photo.full), thumb: Buffer.from(photo.thumb) });
      else one?.fail(new Error('unreadable photo'));
    });
    thread.on('error', failAll);
    thread.unref();
    return thread;
  };
  return (bytes) =>
    new Promise((done, fail) => {
      worker ??= start();
      const id = next++;
      waiting.set(id, { done, fail });
      worker.postMessage({ id, bytes });
    });
}
