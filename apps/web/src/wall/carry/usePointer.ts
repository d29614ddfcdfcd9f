import { useEffect, useRef, type RefObject } from 'react';

const MOVES = ['mousedown', 'mousemove', 'mouseup', 'touchstart', 'touchmove'] as const;

interface Position {
  readonly x: number;
  readonly y: number;
}

/** Where a mouse or a finger is, px of the window; heard from the system itself, so that it is never a drawing behind. */
export function usePointer(): RefObject<Position | null> {
  const pointer = useRef<Position | null>(null);
  useEffect(() => {
    const hear = (event: Event): void => {
      pointer.current = positionIn(event) ?? pointer.current;
    };
    for (const name of MOVES) addEventListener(name, hear, { capture: true, passive: true });
    return () => {
      for (const name of MOVES) removeEventListener(name, hear, { capture: true });
    };
  }, []);
  return pointer;
}
/** Where an event of a mouse or of fingers happens, of the first finger; null where none is down any more. */
export function positionIn(event: Event): Position | null {
  const at = 'touches' in event ? (event as TouchEvent).touches[0] : (event as MouseEvent);
  return at ? { x: at.clientX, y: at.clientY } : null;
}
