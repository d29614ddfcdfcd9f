import type { UnitFacts } from '@red-shelf/core';

/** What the furniture of the demo room is called by, and how places in it are measured. */
export const MM = 1000;
/** From the left and from the floor, or from the left and the bottom of what it stands in, in mm. */
export const at = (along: number, up: number): Pick<UnitFacts, 'pose'> => ({
  pose: { alongUm: along * MM, upUm: up * MM },
});
export const outside = (width: number, height: number, depth: number): Pick<UnitFacts, 'outsideUm'> => ({
  outsideUm: { widthUm: width * MM, heightUm: height * MM, depthUm: depth * MM },
});

export const BENCH = 'demo-bench';
export const BOARD = 'demo-board';
export const SILL = 'demo-sill';
export const TOWER = 'demo-tower';
export const SHELVES = 'demo-shelves';
export const PEG_ROD = 'demo-rod';
export const SILL_GUTTER = 'demo-gutter';
export const PAPER_DRAWER = 'demo-paper-drawer';
export const BEAD_BOX = 'demo-bead-box';
export const UPPER_TRAY = 'demo-upper-tray';
