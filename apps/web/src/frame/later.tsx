import { createElement, lazy, Suspense, useState, type ComponentType } from 'react';
import { ApiError, lost } from '../api/client';
import type * as Everything from '../rest';
import { Waiting } from '../ui/Waiting';

type Rest = typeof Everything;
/** What of the rest is drawn, by name. */
type Drawn = {
  [K in keyof Rest]: Rest[K] extends (props: infer P) => unknown ? ComponentType<P & object> : never;
};

let here: Rest | null = null;
/** Fetches the rest of the app; what could not be had is asked for again. */
export async function rest(): Promise<Rest> {
  return (here ??= await import('../rest').catch((error: unknown) => {
    throw error instanceof ApiError ? error : lost();
  }));
}

const Unreached = () => <Waiting error={lost()} />;

/** A screen, or a part of one, that comes with the rest of the app. What is there already is drawn at once. */
export function later<K extends keyof Rest>(name: K): Drawn[K] {
  const drawn = (all: Rest) => all[name] as ComponentType<object>;
  const Lazy = lazy(() =>
    rest().then(
      (all) => ({ default: drawn(all) }),
      () => ({ default: Unreached as ComponentType<object> }),
    ),
  );
  return function Later(props: object) {
    const [now] = useState(() => here);
    if (now) return createElement(drawn(now), props);
    return <Suspense fallback={<Waiting error={null} />}>{createElement(Lazy, props)}</Suspense>;
  } as Drawn[K];
}
