import { useCallback, useState } from 'react';
import type { z } from 'zod';
import { forget, remember, remembered, rememberedAs } from './draft';

type Drafting<T> = readonly [T, (next: T) => void, () => void];

function useKept<T>(name: string, start: T, read: () => T): Drafting<T> {
  const [draft, setDraft] = useState<T>(read);
  const keep = useCallback(
    (next: T) => {
      remember(name, next);
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

/**
 * State that survives leaving: what was typed is kept in this browser under `name` until `clear` is called.
 * Only what can be written as JSON can be kept.
 */
export const useDraft = <T>(name: string, start: T): Drafting<T> =>
  useKept(name, start, () => remembered(name, start));

/** The same for what is not begun yet: null until then. What was kept is read by its schema. */
export const useBegun = <S extends z.ZodType>(name: string, schema: S): Drafting<z.output<S> | null> =>
  useKept<z.output<S> | null>(name, null, () => rememberedAs(name, schema));
