import { useEffect, useLayoutEffect, useRef } from 'react';

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/** Runs acts on single keys while nobody is typing. Keys are `KeyboardEvent.key` values. */
export function useKeys(acts: Readonly<Record<string, () => void>>): void {
  const latest = useRef(acts);
  // What is shown is what a key means, from the moment it is shown.
  useLayoutEffect(() => {
    latest.current = acts;
  });
  useEffect(() => {
    if (typeof window === 'undefined') return undefined;
    const onKey = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
      const act = latest.current[event.key];
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
