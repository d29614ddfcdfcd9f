/** What is left of an idle moment must be at least so long for one step more, ms. */
const LEAST_MS = 4;

/** Does a piece of work once the page has nothing else to do. */
export const whenIdle = (work: (left: () => number) => void): void => {
  if (typeof requestIdleCallback === 'function')
    requestIdleCallback((deadline) => work(() => deadline.timeRemaining()));
  else setTimeout(() => work(() => 0), 50);
};

/** Does work of many small steps in the moments the page has nothing else to do, at least one in each; returns what stops it. */
export function whileIdle(steps: Iterator<unknown>): () => void {
  let stopped = false;
  const go = (left: () => number): void => {
    do {
      if (stopped || steps.next().done) return;
    } while (left() > LEAST_MS);
    whenIdle(go);
  };
  whenIdle(go);
  return () => {
    stopped = true;
  };
}
