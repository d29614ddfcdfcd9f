/** Does pieces of work one after another, whoever asks for them; one that fails holds up none after it. */
export function inTurn(): <T>(work: () => Promise<T>) => Promise<T> {
  let last: Promise<unknown> = Promise.resolve();
  return (work) => {
    const done = last.then(work);
    last = done.catch(() => undefined);
    return done;
  };
}
