import { startTransition, useEffect, useState, type RefObject } from 'react';

/** How much of each is drawn by now; `Infinity` once it is whole, so that what comes to it later does not make it come anew. */
export type Drawn = ReadonlyMap<string, number>;

/**
 * Draws what is wanted, each so and so large, a step a frame in the order given, then takes away what no longer is; stands
 * still while the view moves, so that no change of many holds up a frame. A new wish must come when the view rests.
 */
export function useBitByBit(
  wanted: ReadonlyMap<string, number>,
  step: number,
  moving: RefObject<boolean>,
): Drawn {
  const [drawn, setDrawn] = useState<Drawn>(new Map());
  useEffect(() => {
    if (afterOne(drawn, wanted, step) === drawn) return undefined;
    const frame = requestAnimationFrame(() => {
      if (!moving.current) startTransition(() => setDrawn((before) => afterOne(before, wanted, step)));
    });
    return () => cancelAnimationFrame(frame);
  }, [wanted, drawn, step, moving]);
  return drawn;
}

/** What is drawn after one step more; the same where all is as wanted. */
export function afterOne(drawn: Drawn, wanted: ReadonlyMap<string, number>, step: number): Drawn {
  const of = (id: string): number => drawn.get(id) ?? 0;
  const next = [...wanted].find(([id, size]) => of(id) < size);
  if (next) {
    const [id, size] = next;
    const more = of(id) + step;
    return new Map(drawn).set(id, more >= size ? Infinity : more);
  }
  const gone = [...drawn.keys()].find((id) => !wanted.has(id));
  if (gone === undefined) return drawn;
  const after = new Map(drawn);
  after.delete(gone);
  return after;
}
