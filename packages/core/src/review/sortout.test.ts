import { doublesOf, sortOutOrder, type SortSubject } from './candidates';
import { spaceFreed, spaceOf } from './space';

const NOW = Date.parse('2026-06-01T00:00:00Z');
const thing = (id: string, more: Partial<SortSubject> = {}): SortSubject => ({
  id,
  kind: 'ink',
  form: 'full-pad',
  name: id,
  maker: '',
  hex: '#4c9a52',
  createdAt: '2026-01-01T00:00:00Z',
  stock: { items: 1, left: 60, uses: 4, used: 4, lastUsedAt: '2026-05-20T00:00:00Z' },
  facts: {},
  ...more,
});
const unused = { items: 1, left: 60, uses: 0, used: 0, lastUsedAt: null };

test('doubts are counted, a collection is left in peace, what is gone is not asked again', () => {
  const pile = [
    thing('loved', { hex: '#112233' }),
    thing('unopened', { stock: unused, hex: '#aa0000' }),
    thing('opened', { stock: unused, hex: '#00aa00', facts: { openedOn: '2026-02-01' } }),
    thing('idle', {
      hex: '#0000aa',
      stock: { ...unused, uses: 2, used: 2, lastUsedAt: '2025-01-01T00:00:00Z' },
      facts: { grade: 'practice' },
    }),
    thing('treasure', { stock: unused, hex: '#aaaa00', facts: { collection: true } }),
    thing('away', { facts: { status: 'gone' } }),
  ];
  const order = sortOutOrder(pile, NOW);
  expect(order.map(({ item, doubts }) => `${item.id}: ${doubts.join(', ')}`)).toEqual([
    'idle: idle a year, half-liked',
    'opened: never used',
    'unopened: never opened',
    'treasure: ',
    'loved: ',
  ]);
});

test('doubles are things of one form that nobody tells apart, unless a spare is meant', () => {
  const pile = [
    thing('a'),
    thing('b', { hex: '#4c9a53' }),
    thing('mini', { form: 'mini-pad' }),
    thing('c', { hex: '#5c9a52' }),
  ];
  expect([...doublesOf(pile)].sort()).toEqual(['a', 'b']);
  const meant = pile.map((each) => ({ ...each, facts: { spares: 1 } }));
  expect(sortOutOrder(meant, NOW).every(({ doubts }) => doubts.length === 0)).toBe(true);
  expect(
    sortOutOrder([thing('two', { stock: { ...unused, uses: 1, used: 1, items: 2 } })], NOW)[0]?.doubts,
  ).toContain('doubled');
});

test('what each verdict frees adds up, by its own size where one is known', () => {
  const own = thing('own', { facts: { size: { widthUm: 50_000, heightUm: 20_000, depthUm: 100_000 } } });
  expect(spaceOf(own)).toEqual({ alongMm: 50, litres: 0.1, slots: 1 });
  const freed = spaceFreed([
    { space: spaceOf(thing('a')), verdict: 'let go' },
    { space: spaceOf(own), verdict: 'let go' },
    { space: spaceOf(thing('b')), verdict: 'keep' },
  ]);
  expect(freed['let go']).toMatchObject({ count: 2, alongMm: 148, slots: 2 });
  expect(freed.keep.count).toBe(1);
  expect(freed['pass on'].count).toBe(0);
});
