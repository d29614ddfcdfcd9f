import { useEffect, useRef, useState, type ReactNode } from 'react';
import { View } from 'react-native';

interface WhenNearProps {
  /** What it takes, drawn or not, px. */
  readonly width: number;
  readonly height: number;
  readonly children: () => ReactNode;
}

/** So far off the screen a thing is drawn already, px. */
const AHEAD_PX = 900;

/** Keeps the room of what is far off the screen, and draws it when it comes near: a page of a thousand things stays quick. */
export function WhenNear({ width, height, children }: WhenNearProps) {
  const room = useRef<View>(null);
  const [near, setNear] = useState(typeof IntersectionObserver === 'undefined');
  useEffect(() => {
    const node = room.current as unknown as Element | null;
    if (!node || typeof IntersectionObserver === 'undefined') return undefined;
    const watch = new IntersectionObserver((seen) => setNear(seen.at(-1)?.isIntersecting ?? true), {
      rootMargin: `${AHEAD_PX}px 0px`,
    });
    watch.observe(node);
    return () => watch.disconnect();
  }, []);
  return (
    <View ref={room} style={{ width, height }}>
      {near ? children() : null}
    </View>
  );
}
