import { useEffect, useRef } from 'react';

/**
 * The space bar on the wall lifts and sets down where one points. It is heard before the slot that has the focus, which would only be
 * pressed; anywhere else it stays what it is. `act` answers whether there was something to do.
 */
export function useSpace(act: () => boolean): void {
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  });
  useEffect(() => {
    if (typeof window === 'undefined') return undefined;
    const onKey = (event: KeyboardEvent): void => {
      const { target } = event;
      const here =
        target === document.body || (target instanceof Element && target.closest('[data-drawing]') !== null);
      if (event.key !== ' ' || !here || !latest.current()) return;
      event.preventDefault();
      event.stopPropagation();
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, []);
}
