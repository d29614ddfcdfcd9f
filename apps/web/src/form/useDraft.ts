import { useCallback, useState } from 'react';
import { forget, remember, remembered } from './draft';

/**
 * State that survives leaving: what was typed is kept in this browser under `name` until `clear` is called.
 * Only what can be written as JSON can be kept.
 */
export function useDraft<T>(name: string, start: T): readonly [T, (next: T) => void, () => void] {
  const [draft, setDraft] = useState<T>(() => remembered<{ draft: T }>(name, { draft: start }).draft);
  const keep = useCallback(
    (next: T) => {
      remember(name, { draft: next });
      setDraft(next);
    },
    [name],
  );
  const clear = useCallback(() => {
    forget(name);
    setDraft(start);
  }, [name, start]);
  return [draft, keep, clear];
}
