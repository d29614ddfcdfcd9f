import { useOf } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { createContext, useContext, useState } from 'react';

/** How much each thing is used against the most used of its kind, 0 to 1, by supply; undefined while nobody asked. */
export type UseShares = ReadonlyMap<string, number> | undefined;

/** Drawings of places show it where it is given. */
export const UseTint = createContext<UseShares>(undefined);
export const useTint = (): UseShares => useContext(UseTint);

/** What is never used is drawn as pale as this. */
const PALEST = 0.16;
/** How full a thing is drawn for how much it is used. */
export const tintOf = (share: number): number => PALEST + (1 - PALEST) * share;

/** Use of each thing against the most used of its kind; by the square root, since a few are used far more than the others. */
export function sharesOfUse(supplies: readonly SupplyView[]): Map<string, number> {
  const most = new Map<string, number>();
  for (const supply of supplies) most.set(supply.kind, Math.max(most.get(supply.kind) ?? 1, useOf(supply)));
  return new Map(
    supplies.map((supply) => [supply.id, Math.sqrt(useOf(supply) / (most.get(supply.kind) ?? 1))]),
  );
}

const KEY = 'red-shelf.wall.use';

function kept(): boolean {
  try {
    return sessionStorage.getItem(KEY) === 'yes';
  } catch {
    return false;
  }
}
/** The wall shows how much things are used, in this window, until that is switched off. */
export function showUse(on: boolean): void {
  try {
    sessionStorage.setItem(KEY, on ? 'yes' : 'no');
  } catch {
    // A browser that keeps nothing shows it while the wall stays open.
  }
}
export function useByUse(): [boolean, (on: boolean) => void] {
  const [on, setOn] = useState(kept);
  return [
    on,
    (next) => {
      setOn(next);
      showUse(next);
    },
  ];
}
