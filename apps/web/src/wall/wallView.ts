import { useState } from 'react';

/** The wall as a picture of the room, or rack by rack, each as large as the page is wide. */
export const WALL_VIEWS = ['room', 'racks'] as const;
export type WallAs = (typeof WALL_VIEWS)[number];

const KEY = 'red-shelf.wall';

function kept(): WallAs | null {
  try {
    const found = localStorage.getItem(KEY);
    return WALL_VIEWS.find((each) => each === found) ?? null;
  } catch {
    return null;
  }
}

/** How the wall is looked at on this device: as it was last, at first the room where there is space for it. */
export function useWallView(wide: boolean): [WallAs, (view: WallAs) => void] {
  const [view, setView] = useState(kept);
  const choose = (next: WallAs): void => {
    setView(next);
    try {
      localStorage.setItem(KEY, next);
    } catch {
      // A browser that keeps nothing: it is chosen for as long as the page is open.
    }
  };
  return [view ?? (wide ? 'room' : 'racks'), choose];
}
