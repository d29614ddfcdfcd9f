import { evenGrid } from '../models/grid';
import type { Unit } from '../unit';

/** A unit to test with: a rack for ink, two rows of three cells. */
export const testUnit = (more: Partial<Unit> = {}): Unit => ({
  id: 'u1',
  version: 1,
  parentId: null,
  sort: 'unit',
  label: 'B',
  name: 'Rack',
  model: evenGrid(2, 3, { widthUm: 102_000, heightUm: 22_000, depthUm: 70_000 }),
  rules: { kinds: ['ink'] },
  facts: {},
  ...more,
});
