import fc from 'fast-check';
import { fullSupply, leanSupply } from './lean';
import { supplyView, type SupplyView } from './supply';

const text = fc.constantFrom('', 'Fern');
const lot = fc.record({
  id: fc.uuid(),
  version: fc.constantFrom(1, 7),
  as: fc.constantFrom('whole', 'pack', 'scrap'),
  sizeUm: fc.constantFrom(null, { widthUm: 4, heightUm: 5 }),
  spot: fc.constantFrom(null, { unitId: 'u', cell: null, rank: 2 }, { unitId: 'u', cell: 0, rank: 0 }),
  items: fc.nat(3),
  left: fc.nat(3),
});
const supply = fc.record({
  kind: fc.constant('ink'),
  form: fc.constant('full-pad'),
  name: fc.constant('Fern Gate'),
  maker: text,
  range: text,
  code: text,
  hex: fc.constant('#4c9a52'),
  finish: fc.constantFrom('matte', 'pearl'),
  familyOverride: fc.constantFrom(null, 'teal'),
  familyReason: text,
  note: text,
  facts: fc.constantFrom({}, { tags: ['a'] }),
  id: fc.uuid(),
  version: fc.nat(2),
  number: fc.nat(9),
  family: fc.constantFrom('green', 'navy'),
  group: fc.constantFrom('green', 'blue'),
  stock: fc.record({
    items: fc.nat(3),
    left: fc.nat(3),
    parts: fc.constantFrom({}, { pack: 2 }),
    state: fc.constantFrom('ok', 'low', 'out'),
    uses: fc.nat(2),
    used: fc.nat(2),
    lastUsedAt: fc.constantFrom(null, '2026-05-01T10:00:00.000Z'),
  }),
  holdings: fc.array(lot, { maxLength: 3 }),
  createdAt: fc.constant('2026-05-01T10:00:00.000Z'),
  updatedAt: fc.constantFrom('2026-05-01T10:00:00.000Z', '2026-05-02T10:00:00.000Z'),
}) as unknown as fc.Arbitrary<SupplyView>;

test('a list leaves out what is usual, and gives every supply back whole', () => {
  fc.assert(
    fc.property(supply, (view) => {
      const sent = JSON.parse(JSON.stringify(leanSupply(view))) as ReturnType<typeof leanSupply>;
      expect(fullSupply(sent)).toEqual(view);
      // A supply that came whole stays whole.
      expect(fullSupply(view)).toEqual(view);
    }),
  );
});

test('what a list leaves out is what the contract takes for granted', () => {
  const sent = {
    kind: 'ink',
    form: 'full-pad',
    name: 'Fern Gate',
    hex: '#4c9a52',
    id: 's',
    version: 1,
    number: 1,
    family: 'green',
    createdAt: 't',
    stock: {},
    holdings: [{ id: 'l', items: 1 }],
  } as const;
  expect(supplyView.safeParse(fullSupply(sent)).success).toBe(true);
});
