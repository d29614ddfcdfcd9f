import fc from 'fast-check';
import { byIdOf, mended } from '../api/indexed';

interface Thing {
  readonly id: string;
  readonly n: number;
}
const things = (from: string, most: number) =>
  fc.uniqueArray(fc.record({ id: fc.constantFrom(...from), n: fc.nat(9) }), {
    selector: ({ id }) => id,
    maxLength: most,
  });

/** What mending means, written plainly. */
function slowly(list: readonly Thing[], changed: readonly Thing[], gone: readonly string[]): Thing[] {
  const now = list.map((each) => changed.find(({ id }) => id === each.id) ?? each);
  const added = changed.filter(({ id }) => !list.some((each) => each.id === id));
  return [...now, ...added].filter(({ id }) => !gone.includes(id));
}

test('a list is mended as one would by hand, once and again, and each thing is found by its id', () => {
  const step = fc.record({
    changed: things('abcdefgh', 4),
    gone: fc.uniqueArray(fc.constantFrom(...'abcdefgh'), { maxLength: 2 }),
  });
  fc.assert(
    fc.property(things('abcdef', 6), fc.array(step, { maxLength: 6 }), (start, steps) => {
      let [list, plain]: [readonly Thing[], readonly Thing[]] = [start, start];
      for (const { changed, gone } of steps) {
        list = mended(list, changed, gone);
        plain = slowly(plain, changed, gone);
        expect(list).toEqual(plain);
        const byId = byIdOf(list);
        for (const id of 'abcdefghz') expect(byId.get(id)).toBe(list.find((each) => each.id === id));
      }
    }),
  );
});

test('what did not change is the thing it was', () => {
  const list = [
    { id: 'a', n: 1 },
    { id: 'b', n: 2 },
  ];
  const next = mended(list, [{ id: 'b', n: 3 }]);
  expect(next[0]).toBe(list[0]);
  expect(mended(list, [])).toBe(list);
});
