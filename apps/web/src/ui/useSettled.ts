import { useEffect, useState } from 'react';

/**
 * A value that follows another one a moment later, never while React draws something by and by. A list that keeps books while it is
 * drawn (FlashList does, about every row's place) must not be given other data in a drawing that is interrupted or dropped.
 */
export function useSettled<T>(value: T): T {
  const [settled, setSettled] = useState(() => value);
  useEffect(() => setSettled(() => value), [value]);
  return settled;
}
