import { setFlagsFromString } from 'node:v8';
import { lotsOfView, viewOf, writtenOf, type WrittenSupply } from './view';

setFlagsFromString('--allow-natives-syntax');
/** Whether the engine finds the fields of two objects in the same places. */
// eslint-disable-next-line @typescript-eslint/no-implied-eval
const haveOneShape = new Function('a', 'b', 'return %HaveSameMap(a, b)') as (a: object, b: object) => boolean;

const USAGE = { uses: 0, used: 0, lastUsedAt: null } as const;
const lot = (id: string, as: 'whole' | 'pack' = 'whole') =>
  ({ id, version: 1, supplyId: 's', as, sizeUm: null, spot: null, items: 1, left: 60 }) as const;

/** A row as a database gives it: a field more than is written down of a supply, copied as "all but another". */
function row(i: number): WrittenSupply {
  const read = {
    id: `s${i}`,
    version: i,
    number: i,
    kind: 'ink',
    form: 'full-pad',
    name: `Fern ${i}`,
    maker: '',
    range: '',
    code: '',
    hex: '#4c9a52',
    finish: 'matte',
    familyOverride: null,
    familyReason: '',
    note: '',
    facts: {},
    createdAt: '2026-05-01',
    updatedAt: '2026-05-01',
    removedAt: null,
    seq: i,
  } as const;
  const { seq: _, ...kept } = read;
  return kept;
}

test('what is read ten thousand times has one shape, wherever it was read from', () => {
  const views = Array.from({ length: 20 }, (_, i) => viewOf(row(i), USAGE, [lot(`l${i}`)]));
  const [first, ...others] = views;
  for (const other of others) {
    expect(haveOneShape(first!, other)).toBe(true);
    expect(haveOneShape(first!.holdings[0]!, other.holdings[0]!)).toBe(true);
  }
  // What the page foretells is one with what it read.
  const foretold = viewOf(writtenOf(first!), first!.stock, lotsOfView(first!));
  expect(haveOneShape(first!, foretold)).toBe(true);
  expect(foretold).toEqual(first);
});

test('a view holds what was written down and what follows from it, and nothing of the database', () => {
  const view = viewOf(row(1), USAGE, [lot('b'), lot('a'), lot('c', 'pack')]);
  expect(Object.keys(view)).not.toContain('removedAt');
  expect(Object.keys(view.holdings[0] ?? {})).not.toContain('supplyId');
  expect(view).toMatchObject({ family: 'green', group: 'green' });
  // The main lot is the oldest of whole things.
  expect(view.holdings.map(({ id }) => id)).toEqual(['a', 'b', 'c']);
  expect(view.stock).toMatchObject({ left: 120, parts: { pack: 1 } });
});
