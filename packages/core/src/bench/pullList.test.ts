import type { Kind } from '../kinds/definition';
import type { Facts } from '../stash/facts';
import { evenGrid } from '../storage/models/grid';
import { HAND_ID, ROOM_ID, type Unit } from '../storage/unit';
import { conflictsIn } from './conflicts';
import { pullList } from './pullList';

const unit = (id: string, some: Partial<Unit> = {}): Unit => ({
  ...{ id, version: 1, parentId: ROOM_ID, sort: 'unit', label: id.toUpperCase(), name: id },
  model: evenGrid(2, 3, { widthUm: 100_000, heightUm: 20_000, depthUm: 100_000 }),
  rules: { kinds: ['ink', 'marker', 'cardstock'] },
  facts: {},
  ...some,
});
const thing = (id: string, unitId: string | null, cell = 0) => ({
  supply: { id, kind: 'ink' as Kind, form: 'full-pad', facts: { massMg: 60_000 } as Facts },
  lot: {
    id: `${id}-lot`,
    as: 'whole' as const,
    items: 1,
    left: 40,
    spot: unitId ? { unitId, cell, rank: 0 } : null,
  },
});

test('each rack in one go and by its cells, what is out apart, what is nowhere last; a tray with three of them is carried', () => {
  const units = [unit('a'), unit('b'), unit('c', { facts: { fixedTo: 'wall' } })];
  const things = [
    thing('b2', 'b', 2),
    thing('a0', 'a', 0),
    thing('c0', 'c', 0),
    thing('b1', 'b', 1),
    thing('c1', 'c', 1),
    thing('b5', 'b', 5),
    thing('c2', 'c', 2),
    thing('desk', HAND_ID),
    thing('lost', null),
  ];
  const all = [...things, thing('other', 'b', 0)];
  const list = pullList(things, units, (id) => all.filter(({ lot }) => lot.spot?.unitId === id));
  expect(list.rows.map(({ thing: { supply } }) => supply.id)).toEqual([
    'a0',
    'b1',
    'b2',
    'b5',
    'c0',
    'c1',
    'c2',
  ]);
  expect(list.out.map(({ supply }) => supply.id)).toEqual(['desk']);
  expect(list.lost.map(({ supply }) => supply.id)).toEqual(['lost']);
  // What is fixed to the wall stays there.
  expect(list.trays.map(({ unit: { id }, takes, massMg }) => [id, takes, massMg])).toEqual([
    ['b', 3, 240_000],
  ]);
  expect(list.trays[0]?.depthUm).toBe(100_000);
});

test('what stands before a thing in its own place is named', () => {
  const deep = unit('d', {
    model: { ...evenGrid(1, 2, { widthUm: 100_000, heightUm: 100_000, depthUm: 40_000 }), layers: 2 },
  });
  const [front, back] = [thing('front', 'd', 0), thing('back', 'd', 2)];
  const list = pullList([back], [deep], () => [front, back]);
  expect(list.rows[0]?.before.map(({ supply }) => supply.id)).toEqual(['front']);
});

const used = (id: string, kind: Kind, form: string, attributes: Facts['attributes'] = {}) => ({
  ...{ id, kind, form },
  facts: { attributes } as Facts,
});

test('what does not go together: ink, marker and surface; what nobody said is not held against a thing', () => {
  const solvent = used('solvent', 'ink', 'full-pad', { chemistry: 'permanent solvent' });
  const dye = used('dye', 'ink', 'full-pad', { chemistry: 'dye' });
  const unsaid = used('unsaid', 'ink', 'full-pad');
  const alcohol = used('alcohol', 'marker', 'alcohol-dual');
  const water = used('water', 'marker', 'water-brush');
  const toothy = used('toothy', 'cardstock', 'sheet-a4', {
    surface: 'toothy',
    weight: { cgsm: 30_000, basis: 'gsm' } as never,
  });
  const thin = used('thin', 'cardstock', 'sheet-a4', { weight: { cgsm: 12_000, basis: 'gsm' } as never });
  const vellum = used('vellum', 'cardstock', 'sheet-a4', { paper: 'vellum' });
  const said = (items: Parameters<typeof conflictsIn>[0]): string[] =>
    conflictsIn(items).map(({ id, one, other }) => `${id}: ${one.id} ${other.id}`);
  expect(said([solvent, alcohol])).toEqual(['solvent-under-alcohol: solvent alcohol']);
  expect(said([dye, water])).toEqual(['dye-under-water: dye water']);
  expect(said([alcohol, toothy])).toEqual(['marker-on-toothy: alcohol toothy']);
  expect(said([alcohol, thin])).toEqual(['alcohol-through-thin: alcohol thin']);
  expect(said([water, thin])).toEqual(['water-on-thin: water thin']);
  expect(said([dye, unsaid, vellum])).toEqual(['wet-on-film: dye vellum']);
  expect(said([solvent, vellum, dye, thin])).toEqual(['wet-on-film: dye vellum']);
});
