/** Does a piece of work once the page has nothing else to do. */
export const whenIdle = (work: () => void): void => {
  if (typeof requestIdleCallback === 'function') requestIdleCallback(work);
  else setTimeout(work, 50);
};
