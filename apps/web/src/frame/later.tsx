import { createElement, lazy, Suspense, useState, type ComponentType } from 'react';
import { ApiError, lost } from '../api/client';
import type * as Everything from '../rest';
import { othersFirst } from '../ui/othersFirst';
import { Waiting } from '../ui/Waiting';

type Rest = typeof Everything;
/** What of the rest is drawn, by name. */
type Drawn = {
  [K in keyof Rest]: Rest[K] extends (props: infer P) => unknown ? ComponentType<P & object> : never;
};

let here: Rest | null = null;
let coming: Promise<Rest> | undefined;

/** Run piece by piece: all at once would keep a phone from answering for a second. */
async function fetched(): Promise<Rest> {
  const all = await import('../rest');
  for (const step of all.inTurn) {
    await othersFirst();
    step();
  }
  return (here = all);
}
/** Fetches the rest of the app; what could not be had is asked for again. */
export const rest = (): Promise<Rest> =>
  (coming ??= fetched().catch((error: unknown) => {
    coming = undefined;
    throw error instanceof ApiError ? error : lost();
  }));

const Unreached = () => <Waiting error={lost()} />;

/** A screen, or a part of one, that comes with the rest of the app. What is there already is drawn at once. */
export function later<K extends keyof Rest>(name: K): Drawn[K] {
  const drawn = (all: Rest) => all[name] as ComponentType<object>;
  const Lazy = lazy(() =>
    rest().then(
      async (all) => {
        const screen = drawn(all);
        await othersFirst();
        return { default: screen };
      },
      () => ({ default: Unreached as ComponentType<object> }),
    ),
  );
  return function Later(props: object) {
    const [now] = useState(() => here);
    if (now) return createElement(drawn(now), props);
    return <Suspense fallback={<Waiting error={null} />}>{createElement(Lazy, props)}</Suspense>;
  } as Drawn[K];
}
