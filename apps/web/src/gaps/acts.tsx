import type { GapQuestion, HushBody, WishBody } from '@red-shelf/contract';
import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { order, routes } from '../api/client';
import { useChange } from '../api/useChange';
import { useWishes } from './useWish';

/** What rows of gaps can do; one of each for all rows of a screen. */
interface GapActs {
  readonly isListed: (wish: WishBody) => boolean;
  readonly list: (wish: WishBody) => void;
  readonly hush: (question: GapQuestion, about: string, until: string | null) => void;
}

const Acts = createContext<GapActs>({ isListed: () => false, list: () => undefined, hush: () => undefined });
export const useGapActs = (): GapActs => useContext(Acts);

const keyOf = ({ supplyId, kind, name }: WishBody): string => `${supplyId} ${kind} ${name}`;

export function GapActsProvider({ children }: { readonly children: ReactNode }) {
  const { wishes, add } = useWishes();
  const { mutate: keep } = useChange((body: HushBody) => order(routes.addRecord, { body: { body } }));
  const { mutate: list } = add;
  const acts = useMemo((): GapActs => {
    const listed = new Set(wishes.map(({ body }) => keyOf(body)));
    return {
      isListed: (wish) => listed.has(keyOf(wish)),
      list: (wish) => list(wish),
      hush: (question, about, until) => keep({ sort: 'hush', question, about, until }),
    };
  }, [wishes, list, keep]);
  return <Acts.Provider value={acts}>{children}</Acts.Provider>;
}
