import { missingPartners, partnerCounts, type Partnered } from './partners';

const thing = (
  id: string,
  kind: Partnered['kind'],
  form: string,
  name: string,
  more: Partial<Partnered> = {},
): Partnered => ({
  id,
  kind,
  form,
  name,
  facts: {},
  stock: { left: 10, uses: 1, used: 1 },
  ...more,
});
const said = (list: readonly Partnered[]): string[] =>
  missingPartners(list).map(
    ({ item, partner, out }) => `${item.id} lacks ${partner.name}${out ? ' (used up)' : ''}`,
  );

test('nobody is told to buy a sort of thing they have none of', () => {
  expect(said([thing('pad', 'ink', 'full-pad', 'Reed')])).toEqual([]);
});

test('a pad lacks its refill when others have one; case and accents do not matter; used up is said', () => {
  const stash = [
    thing('pad', 'ink', 'full-pad', 'Reed', { stock: { left: 3, uses: 9, used: 9 } }),
    thing('other-pad', 'ink', 'full-pad', 'Café Stone'),
    thing('refill', 'ink', 'refill', 'CAFE STONE'),
    thing('empty', 'ink', 'refill', 'Thistle', { stock: { left: 0, uses: 3, used: 3 } }),
    thing('thistle', 'ink', 'full-pad', 'Thistle'),
  ];
  expect(said(stash)).toEqual(['pad lacks its refill', 'thistle lacks its refill (used up)']);
  const gone = stash.map((each) =>
    each.id === 'pad' ? { ...each, facts: { status: 'gone' as const } } : each,
  );
  expect(said(gone)).toEqual(['thistle lacks its refill (used up)']);
});

test('nothing is bought beside what is not bought again: a collection, what is leaving, what is made no more', () => {
  const stash = [
    thing('pad', 'ink', 'full-pad', 'Reed'),
    thing('empty', 'ink', 'refill', 'Reed', { stock: { left: 0, uses: 3, used: 3 } }),
  ];
  const saidOf = (facts: Partnered['facts']) =>
    said(stash.map((each) => (each.id === 'pad' ? { ...each, facts } : each)));
  expect(saidOf({})).toEqual(['pad lacks its refill (used up)']);
  for (const facts of [
    { status: 'retired' },
    { status: 'leaving' },
    { status: 'irreplaceable' },
    { collection: true },
  ] as const)
    expect(saidOf(facts)).toEqual([]);
});

test('one of many is no habit, so the rest are left alone; two are; used up is said all the same', () => {
  const pads = Array.from({ length: 30 }, (_, i) => thing(`pad-${i}`, 'ink', 'full-pad', `Colour ${i}`));
  const refill = (i: number, left: number) =>
    thing(`refill-${i}`, 'ink', 'refill', `Colour ${i}`, { stock: { left, uses: 0, used: 0 } });
  expect(said([...pads, refill(0, 5)])).toEqual([]);
  expect(said([...pads, refill(0, 0)])).toEqual(['pad-0 lacks its refill (used up)']);
  expect(said([...pads, refill(0, 5), refill(1, 0)])).toHaveLength(29);
});

test('stamps and dies know each other by number; one without a number is not asked for', () => {
  const number = (n: string) => ({ facts: { attributes: { number: n } } });
  const stash = [
    thing('stamp-1', 'companion', 'stamp', 'Heron', number('17')),
    thing('die-1', 'companion', 'die', 'Heron outline', number('17')),
    thing('stamp-2', 'companion', 'stamp', 'Otter', number('18')),
    thing('plain', 'companion', 'stamp', 'Dots'),
  ];
  expect(said(stash)).toEqual(['stamp-2 lacks its matching die']);
});

test('a refill knows its pad by the colour, whatever sort of thing its name says it is', () => {
  const stash = [
    thing('pad', 'ink', 'full-pad', 'Reed Pond'),
    thing('r', 'ink', 'refill', 'Reed Pond reinker'),
    thing('pad2', 'ink', 'full-pad', 'Dusk Sail ink pad'),
    thing('r2', 'ink', 'refill', 'Re-inker: Dusk Sail'),
    thing('pad3', 'ink', 'full-pad', 'Marker'),
  ];
  expect(said(stash)).toEqual(['pad3 lacks its refill']);
});

test('what a person says of a sort goes before what shows: always together, or never', () => {
  const pads = Array.from({ length: 20 }, (_, i) => thing(`pad-${i}`, 'ink', 'full-pad', `Colour ${i}`));
  const stash = [
    ...pads,
    thing('r0', 'ink', 'refill', 'Colour 0'),
    thing('r1', 'ink', 'refill', 'Colour 1', { stock: { left: 0, uses: 2, used: 2 } }),
    thing('r2', 'ink', 'refill', 'Colour 2'),
  ];
  const [refills, foams] = ['ink/full-pad ink/refill', 'ink/full-pad companion/foam'];
  const lacks = (habits: Parameters<typeof missingPartners>[1]) =>
    missingPartners(stash, habits).filter(({ item }) => item.form === 'full-pad');
  const sorts = (habits: Parameters<typeof missingPartners>[1]) => [
    ...new Set(lacks(habits).map(({ partner }) => partner.form)),
  ];
  expect(sorts({})).toEqual(['refill']);
  expect(sorts({ [refills]: 'never' })).toEqual([]);
  expect(sorts({ [refills]: 'never', [foams]: 'together' })).toEqual(['foam']);
  expect(lacks({ [foams]: 'together' }).filter(({ partner }) => partner.form === 'foam')).toHaveLength(20);
  expect(partnerCounts(stash).find(({ sort }) => sort === refills)).toMatchObject({ all: 20, with: 3 });
});
