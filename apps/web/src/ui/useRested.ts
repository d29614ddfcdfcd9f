import { useEffect, useState } from 'react';

const REST_MS = 1200;

/** True once the first screen stands: what is seldom needed does not keep it waiting. */
export function useRested(): boolean {
  const [rested, setRested] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setRested(true), REST_MS);
    return () => clearTimeout(timer);
  }, []);
  return rested;
}
