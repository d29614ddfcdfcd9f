import { useRef } from 'react';

/** Runs one call at a time: a second Enter while the first is still on its way does nothing. */
export function useOnce<Given extends unknown[]>(
  work: (...given: Given) => Promise<unknown>,
): (...given: Given) => void {
  const running = useRef(false);
  return (...given) => {
    if (running.current) return;
    running.current = true;
    void work(...given).finally(() => {
      running.current = false;
    });
  };
}
