import { evenGrid } from '../storage/models/grid';
import type { Lodger, RoomNow } from '../storage/mayLive';
import { ROOM_ID, type Unit } from '../storage/unit';
import { backTo } from './putBack';

const rack = (facts: Unit['facts'] = {}): Unit => ({
  ...{ id: 'rack', version: 1, parentId: ROOM_ID, sort: 'unit', label: 'A', name: 'Rack', facts },
  model: evenGrid(1, 5, { widthUm: 110_000, heightUm: 30_000, depthUm: 110_000 }),
  rules: { kinds: ['ink'] },
});
const pad = (
  id: string,
  cell: number | null,
): Lodger & { lot: { spot: { unitId: string; cell: number | null } | null } } => ({
  supply: {
    id,
    kind: 'ink',
    form: 'full-pad',
    facts: { size: { widthUm: 97_000, heightUm: 20_000, depthUm: 66_000 } },
  },
  lot: {
    id: `${id}-lot`,
    as: 'whole',
    items: 1,
    left: 9,
    spot: cell === null ? null : { unitId: 'rack', cell },
  },
});
const room = (there: readonly Lodger[]): RoomNow => ({ livingIn: () => there }) as unknown as RoomNow;

test('back to its own spot; where that is taken to the nearest open one, but not where things go back exactly', () => {
  const thing = pad('mine', null);
  const from = { unitId: 'rack', cell: 2 };
  expect(backTo(thing, from, rack(), room([]))).toEqual({ unitId: 'rack', cell: 2, exact: true });
  const taken = [pad('a', 2), pad('b', 1)];
  expect(backTo(thing, from, rack(), room(taken))).toEqual({ unitId: 'rack', cell: 3, exact: false });
  expect(backTo(thing, from, rack({ tolerance: 'exact' }), room(taken))).toBeNull();
  const full = [0, 1, 2, 3, 4].map((cell) => pad(`p${cell}`, cell));
  expect(backTo(thing, from, rack(), room(full))).toBeNull();
});

test('from nowhere, or from a place that is gone, another one has to be found', () => {
  expect(backTo(pad('x', null), null, rack(), room([]))).toBeNull();
  expect(backTo(pad('x', null), { unitId: 'gone', cell: 0 }, undefined, room([]))).toBeNull();
});
