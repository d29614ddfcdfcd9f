import { kindSpreads } from './spread';
import { tagCounts, tagTwins } from './tags';

test('tags are counted, and those that mean the same are found', () => {
  const counts = tagCounts(
    [['autumn', 'Coffee'], ['autumn'], ['Autumns', 'coffees', 'tea'], ['autum'], []].map((tags) => ({
      facts: { tags },
    })),
  );
  expect(counts[0]).toEqual({ tag: 'autumn', count: 2 });
  const twins = tagTwins(counts).map(([one, other]) => `${one.tag}=${other.tag}`);
  expect(twins).toEqual(expect.arrayContaining(['autumn=Autumns', 'autumn=autum', 'Coffee=coffees']));
  expect(twins.some((pair) => pair.includes('tea'))).toBe(false);
});

test('a kind in more than three places is scattered', () => {
  const at = (unitId: string | null) => ({
    kind: 'ink' as const,
    holdings: [{ spot: unitId ? { unitId, cell: 0, rank: 0 } : null }],
  });
  const [ink] = kindSpreads([at('a'), at('a'), at('b'), at('c'), at(null)]);
  expect(ink).toMatchObject({ count: 5, unplaced: 1, scattered: true });
  expect(ink?.places[0]).toEqual({ unitId: 'a', count: 2 });
  expect(kindSpreads([at('a')])[0]?.scattered).toBe(false);
  const packsElsewhere = { ...at('a'), holdings: [...at('a').holdings, ...at('b').holdings] };
  expect(kindSpreads([packsElsewhere])[0]?.places.map(({ unitId }) => unitId)).toEqual(['a', 'b']);
  expect(kindSpreads([])).toEqual([]);
});
