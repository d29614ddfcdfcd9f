import { envelope, type Size } from '../../kinds/definition';

/** Furniture to start from: outside sizes that can all be changed. */
export interface PieceStart {
  readonly id: string;
  readonly name: string;
  readonly outsideUm: Size;
}

export const PIECE_STARTS: readonly PieceStart[] = [
  { id: 'shelves', name: 'Shelves', outsideUm: envelope(800, 1800, 300) },
  { id: 'drawer-tower', name: 'Drawer tower', outsideUm: envelope(360, 900, 420) },
  { id: 'cart', name: 'Cart', outsideUm: envelope(420, 800, 420) },
  { id: 'desk', name: 'Desk', outsideUm: envelope(1400, 740, 650) },
  { id: 'wall-board', name: 'Wall board', outsideUm: envelope(1200, 600, 20) },
  { id: 'cupboard', name: 'Cupboard', outsideUm: envelope(900, 2000, 400) },
  { id: 'windowsill', name: 'Windowsill', outsideUm: envelope(1200, 30, 220) },
];
