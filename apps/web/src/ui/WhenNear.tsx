import { startTransition, useEffect, useRef, useState, type ReactNode } from 'react';
import { View } from 'react-native';

interface WhenNearProps {
  /** What it takes, drawn or not, px. */
  readonly width: number;
  readonly height: number;
  /** So far off the screen it is drawn already, px. */
  readonly ahead?: number;
  /** Drawn wherever it is. */
  readonly always?: boolean;
  readonly children: () => ReactNode;
}

const AHEAD_PX = 900;

/** Keeps the room of what is far off the screen, and draws it when it comes near: a page of a thousand things stays quick. */
export function WhenNear({ width, height, ahead = AHEAD_PX, always = false, children }: WhenNearProps) {
  const room = useRef<View>(null);
  const [near, setNear] = useState(typeof IntersectionObserver === 'undefined');
  useEffect(() => {
    const node = room.current as unknown as Element | null;
    if (always || !node || typeof IntersectionObserver === 'undefined') return undefined;
    const watch = new IntersectionObserver(
      (seen) => startTransition(() => setNear(seen.at(-1)?.isIntersecting ?? true)),
      {
        rootMargin: `${ahead}px 0px`,
      },
    );
    watch.observe(node);
    return () => watch.disconnect();
  }, [ahead, always]);
  return (
    <View ref={room} style={{ width, height }}>
      {near || always ? children() : null}
    </View>
  );
}
