import { startTransition, useEffect, useState } from 'react';

/** A set that becomes another one member at a time, each when the page is free, so that no change of many holds up a frame. */
export function useOneByOne(wanted: ReadonlySet<string>): ReadonlySet<string> {
  const [shown, setShown] = useState<ReadonlySet<string>>(wanted);
  useEffect(() => {
    const next = [...wanted].find((id) => !shown.has(id)) ?? [...shown].find((id) => !wanted.has(id));
    if (next === undefined) return undefined;
    const timer = setTimeout(() =>
      startTransition(() =>
        setShown((before) => {
          const after = new Set(before);
          if (!after.delete(next)) after.add(next);
          return after;
        }),
      ),
    );
    return () => clearTimeout(timer);
  }, [wanted, shown]);
  return shown;
}
