import { useRef, useState } from 'react';
import { order, routes } from '../../api/client';
import type { Stash } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { inReturn, placesBack } from './placeFor';
import type { Step } from './step';
import type { Carrying } from './usePlan';

/** What was lifted together: one thing, or all that goes the same way. */
type Go = readonly Step[];

interface Lifting {
  readonly done: (go: Go) => void;
  readonly takeBack: () => void;
  /** Whether something was lifted here that can be taken back. */
  readonly hasMade: boolean;
  readonly forget: () => void;
}

/** Lifts as they are made, each go one change, taken back as one; nothing waits for the server. */
export function useLifting(stash: Stash | undefined, carrying: Carrying | null): Lifting {
  /** Goes made here, the last one first. */
  const [made, setMade] = useState<readonly Go[]>([]);
  const sent = useRef<{ of: Step['lift'] | undefined; back: boolean } | null>(null);
  const lift = useChange(
    ({ go, back }: { go: Go; back: boolean }) => {
      const steps = back ? inReturn(go) : go;
      const places = !back ? carrying?.placesOf(steps) : stash && placesBack(steps, stash);
      const moves = steps.map(({ thing: { supply, lot } }, i) => {
        const now = stash?.byId.get(supply.id)?.holdings.find(({ id }) => id === lot.id);
        return { id: lot.id, version: now?.version ?? lot.version, place: places?.[i] ?? null };
      });
      const [one] = moves;
      return one && moves.length === 1
        ? order(routes.placeHolding, { id: one.id, body: { version: one.version, place: one.place } })
        : order(routes.moveHoldings, { body: { moves } });
    },
    { silent: true },
  );
  /** What was tapped is not sent twice; but nothing waits for the server. */
  const send = (go: Go | undefined, back: boolean, onSuccess: () => void): void => {
    if (!go?.length) return;
    const of = go[0]?.lift;
    if (sent.current?.of === of && sent.current?.back === back) return;
    sent.current = { of, back };
    // What was refused may be tapped again.
    lift.mutate({ go, back }, { onSuccess, onError: () => void (sent.current = null) });
  };
  return {
    done: (go) => send(go, false, () => setMade((all) => [go, ...all])),
    takeBack: () => send(made[0], true, () => setMade((all) => all.slice(1))),
    hasMade: made.length > 0,
    forget: () => setMade([]),
  };
}
