import { startTransition, useEffect, useState } from 'react';

/**
 * How many of so many parts to draw by now: one more each time the page is free, so that it answers while a long page is
 * still being drawn. Once drawn, all stay.
 */
export function useGradually(total: number): number {
  const [drawn, setDrawn] = useState(0);
  useEffect(() => {
    if (drawn >= total) return undefined;
    const timer = setTimeout(() => startTransition(() => setDrawn(drawn + 1)));
    return () => clearTimeout(timer);
  }, [drawn, total]);
  return Math.min(drawn, total);
}
