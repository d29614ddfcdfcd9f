import { careOfPlace } from './care';
import { mayLive, type Lodger } from './mayLive';
import { signsIn, type Inside } from './signs';
import { testUnit } from './test/testUnit';
import { ROOM_ID, type Unit } from './unit';

const NOTHING: Inside = { things: 0, liquids: false, paper: false, deepestUm: 0 };
const MM = 1000;
const piece = (facts: Unit['facts'] = {}): Unit =>
  testUnit({
    id: 'tower',
    sort: 'piece',
    parentId: ROOM_ID,
    model: null,
    label: '',
    facts: { outsideUm: { widthUm: 400 * MM, heightUm: 900 * MM, depthUm: 400 * MM }, ...facts },
  });
const drawer = (id: string, upUm: number, facts: Unit['facts'] = {}): Unit =>
  testUnit({
    id,
    parentId: 'tower',
    model: { model: 'stack', widthUm: 350 * MM, heightUm: 80 * MM, depthUm: 350 * MM, fingerUm: 0 },
    facts: { pose: { alongUm: 0, upUm }, ...facts },
  });
const signs = (units: readonly Unit[], holds: Readonly<Record<string, Partial<Inside>>> = {}) => {
  const of = signsIn(units, (id) => ({ ...NOTHING, ...holds[id] }));
  return (id: string): readonly string[] => [...of(units.find((each) => each.id === id)!)];
};

test('liquids above paper in one piece of furniture are seen from both sides, beside it they are not', () => {
  const units = [piece(), drawer('top', 500 * MM), drawer('low', 100 * MM)];
  const wet = { things: 1, liquids: true };
  const dry = { things: 1, paper: true };
  const bad = signs(units, { top: wet, low: dry });
  expect([bad('top').includes('over paper'), bad('low').includes('under liquids')]).toEqual([true, true]);
  const good = signs(units, { top: dry, low: wet });
  expect([...good('top'), ...good('low')].filter((sign) => /paper|liquid/.test(sign))).toEqual([]);
});

test('what is opened or lies under something is hidden; hidden with nothing written down is asked about', () => {
  const open = signs([piece(), drawer('top', 0)]);
  expect(open('top')).toContain('open');
  const closed = signs([piece({ opens: 'door' }), drawer('top', 0)]);
  expect(closed('top')).toEqual(expect.arrayContaining(['hidden', 'unrecorded']));
  expect(signs([piece({ opens: 'door' }), drawer('top', 0)], { top: { things: 2 } })('top')).not.toContain(
    'unrecorded',
  );
  const covered = signs([piece(), drawer('low', 0), drawer('lid', 100 * MM, { covers: true })]);
  expect([covered('low').includes('hidden'), covered('lid').includes('hidden')]).toEqual([true, false]);
  expect(careOfPlace(new Set(['unrecorded']))).toEqual(['nothing known']);
});

test('a place more than twice as deep as what stands in it is asked about', () => {
  const rack = testUnit({ id: 'rack', parentId: ROOM_ID });
  const deep = (deepestUm: number) =>
    signs([rack], { rack: { things: 3, deepestUm } })('rack').includes('deep');
  expect([deep(30 * MM), deep(40 * MM)]).toEqual([true, false]);
  expect(careOfPlace(new Set(['deep']))).toEqual(['nothing known behind']);
});

test('whether it is to be seen follows what it stands in, unless it says otherwise', () => {
  const units = [piece({ face: 'hide' }), drawer('top', 0), drawer('low', 100 * MM, { face: 'show' })];
  expect([signs(units)('top').includes('to hide'), signs(units)('low').includes('to show')]).toEqual([
    true,
    true,
  ]);
});

test('a long thin rod wants a brace, a short thick one does not', () => {
  const rod = (lengthUm: number, rodUm: number): Unit =>
    testUnit({
      id: 'rod',
      parentId: ROOM_ID,
      model: {
        model: 'run',
        how: 'rod',
        lengthUm,
        heightUm: 90 * MM,
        depthUm: 90 * MM,
        lipUm: 0,
        fingerUm: 0,
        rodUm,
      },
    });
  expect(signs([rod(1200 * MM, 8 * MM)])('rod')).toContain('long rod');
  expect(signs([rod(300 * MM, 16 * MM)])('rod')).not.toContain('long rod');
});

test('what the person does everywhere is not warned of; foil and glitter paper are kept apart', () => {
  const pile = drawer('pile', 0);
  const card = (id: string, paper: string): Lodger => ({
    supply: { id, kind: 'cardstock', form: 'sheet-12', facts: { attributes: { paper } } },
    lot: { id, as: 'whole', items: 1, left: 1, spot: null },
  });
  const room = { livingIn: () => [], marksOf: signsIn([piece(), pile], () => NOTHING) };
  const where = { unit: { ...pile, rules: { kinds: ['cardstock' as const] } }, cell: null };
  expect(mayLive(card('a', 'plain'), where, room)).toEqual([{ code: 'care', rule: 'paper lies' }]);
  const habits = new Set(['paper lies'] as const);
  expect(mayLive(card('a', 'plain'), where, { ...room, habits })).toBeNull();
  const beside = {
    ...room,
    habits,
    livingIn: () => [
      {
        ...card('g', 'glitter'),
        lot: { ...card('g', 'glitter').lot, spot: { unitId: 'pile', cell: null, rank: 0 } },
      },
    ],
  };
  expect(mayLive(card('a', 'foil'), where, beside)).toEqual([
    { code: 'bad_company', by: 'g', trait: 'scratches', suffers: 'thing' },
  ]);
  expect(mayLive(card('a', 'plain'), where, beside)).toBeNull();
});
