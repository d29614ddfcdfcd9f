/**
 * Asks a worker, one question after another, each answered by its number; where the browser has no workers the same work is done on
 * the screen's own thread. `start` makes the worker, which answers `{ id, answer }` to `{ id, question }`.
 */
export function workerAsker<Q, A>(
  start: () => Worker,
  here: (question: Q) => A,
): (question: Q) => Promise<A> {
  let worker: Worker | null | undefined;
  let next = 0;
  const waiting = new Map<number, { readonly question: Q; readonly done: (answer: A) => void }>();
  const begin = (): Worker | null => {
    if (typeof Worker === 'undefined') return null;
    try {
      const made = start();
      made.onmessage = ({ data }: MessageEvent<{ id: number; answer: A }>) => {
        waiting.get(data.id)?.done(data.answer);
        waiting.delete(data.id);
      };
      // One that cannot be had, or breaks, leaves nobody waiting.
      made.onerror = () => {
        worker = null;
        for (const { question, done } of waiting.values()) done(here(question));
        waiting.clear();
      };
      return made;
    } catch {
      return null;
    }
  };
  return (question) => {
    if (worker === undefined) worker = begin();
    const asked = worker;
    if (!asked) return Promise.resolve(here(question));
    return new Promise((done) => {
      const id = next++;
      waiting.set(id, { question, done });
      asked.postMessage({ id, question });
    });
  };
}
