import { Worker } from 'node:worker_threads';

export interface Seen {
  /** Longest wait of a health request, ms. */
  readonly wait: number;
  /** Most memory held by the server, by the largest process, and by the server with all it started, bytes. */
  readonly held: number;
  readonly most: number;
  readonly heldInAll: number;
}

/** Watches a server from a thread of its own; each call of `since` answers what was seen since the last. */
export function watching(watched: { readonly url: string; readonly pid: number }): {
  since: () => Promise<Seen>;
  end: () => Promise<number>;
} {
  const worker = new Worker(new URL('./watcher.mjs', import.meta.url), { workerData: watched });
  return {
    since: () =>
      new Promise((resolve) => {
        worker.once('message', resolve);
        worker.postMessage('');
      }),
    end: () => worker.terminate(),
  };
}
