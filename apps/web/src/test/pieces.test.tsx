import { fireEvent, render, screen } from '@testing-library/react';
import { isWorthIt, sayVerdict } from '../arrange/verdict';
import { sayWhen } from '../arrange/WhenFull';
import { saySlot } from '../draw/saySlot';
import { readAmount } from '../form/amount';
import { DEFAULT_PREFERENCES } from '../api/queries';
import { inRainbow } from '../api/inRainbow';
import { familyRows } from '../stash/rows';
import { makeAddresses, makeWhere } from '../api/where';
import { makeSearch } from '../api/search';
import { SupplyRow } from '../row/SupplyRow';
import { formOf } from '@red-shelf/core';
import { living, supply, unit } from './harness';

test('a row says name, what it is, what is left and where it lives, and opens on a tap', () => {
  const open = jest.fn();
  render(<SupplyRow supply={supply()} address="B2·04" selected={false} onPress={open} />);
  for (const text of ['Marsh Lantern', 'full pad · Hollin & Quay · Towpath 418', 'half', 'B2·04', 'Gr'])
    expect(screen.getByText(text)).toBeTruthy();
  fireEvent.click(screen.getByRole('button'));
  expect(open).toHaveBeenCalledWith('s1');
});

test('what is low says so in words, and so does what has no place', () => {
  const low = supply({ stock: { ...supply().stock, left: 4, state: 'low' } });
  const { rerender } = render(
    <SupplyRow supply={low} address="B2·04" selected={false} onPress={jest.fn()} />,
  );
  expect(screen.getAllByText('low').length).toBeGreaterThan(0);
  rerender(
    <SupplyRow supply={supply({ place: null })} address={null} selected={false} onPress={jest.fn()} />,
  );
  expect(screen.getByText('no place')).toBeTruthy();
});

test('screen readers hear a slot whole', () => {
  expect(saySlot('B2·04', living(supply()))).toBe('Slot B2·04, Marsh Lantern, green, full pad, half');
  expect(saySlot('B2·05', null)).toBe('Slot B2·05, open');
  expect(saySlot('K', living(supply()), true)).toBe('In K, Marsh Lantern, green, full pad, half');
});

const where = makeWhere([], [unit()], [], DEFAULT_PREFERENCES);

test('the list stands under family headers in rainbow order, of one kind when asked', () => {
  const list = [
    supply(),
    supply({ id: 's2', hex: '#b3262b', family: 'red', group: 'red', place: null }),
    supply({ id: 's3', kind: 'marker', form: 'paint' }),
  ];
  expect(
    familyRows(
      inRainbow(
        list.filter(({ kind }) => kind === 'ink'),
        DEFAULT_PREFERENCES,
      ),
      where,
      DEFAULT_PREFERENCES,
    ).map((row) => (row.sort === 'family' ? row.group : row.supply.id)),
  ).toEqual(['red', 's2', 'green', 's1']);
  expect(familyRows(inRainbow(list, DEFAULT_PREFERENCES), where, DEFAULT_PREFERENCES)[0]).toMatchObject({
    count: 1,
    unplaced: 1,
    low: 0,
  });
});

test('white, grey and black stand under headers of their own where the person wants them apart', () => {
  const preferences = { ...DEFAULT_PREFERENCES, familyOrder: ['white' as const, 'green' as const] };
  const list = [
    supply({ id: 'b', hex: '#101010', family: 'black', group: 'neutral' }),
    supply({ id: 'w', hex: '#ffffff', family: 'white', group: 'neutral' }),
    supply(),
  ];
  const rows = familyRows(inRainbow(list, preferences), where, preferences);
  expect(rows.map((row) => (row.sort === 'family' ? row.group : row.supply.id))).toEqual([
    'white',
    'w',
    'green',
    's1',
    'black',
    'b',
  ]);
});

test('search finds by family, code, kind and place', () => {
  const search = makeSearch(
    [supply(), supply({ id: 's2', name: 'Kiln', code: '7', group: 'red', family: 'red', place: null })],
    makeAddresses([], [unit()], [], DEFAULT_PREFERENCES),
  );
  const ids = (query: string) => search.find(query).map(({ id }) => id);
  expect([ids('green ink'), ids('418'), ids('B2·02'), ids('unplaced'), ids('teal')]).toEqual([
    ['s1'],
    ['s1'],
    ['s1'],
    ['s2'],
    [],
  ]);
});

test('amounts are read in the form’s own unit, and refused with a sentence', () => {
  const pad = formOf('ink', 'full-pad');
  expect(readAmount('2', 'half', pad)).toEqual({ ok: true, count: { items: 2, left: 90 } });
  expect(readAmount('5 1/8 in', 'full', formOf('ribbon', 'spool'))).toMatchObject({
    ok: true,
    count: { left: 130_175 },
  });
  for (const [text, said] of [
    ['', /Say how many/],
    ['-1', /less than nothing/],
    ['some', /cannot be read/],
  ] as const) {
    const reading = readAmount(text, 'full', pad);
    expect(reading.ok ? '' : reading.message).toMatch(said);
  }
});

test('the verdict says what is gained, what it costs and what is left over', () => {
  const figures = {
    placed: 5,
    emptySlots: 1,
    breaks: 4,
    meanStep: 12,
    beside: null,
    inOrder: 0.6,
    lookUp: 6,
  };
  const plan = {
    ...{
      held: [],
      by: 'family' as const,
      leftOver: [],
      remedies: [],
      continues: [],
      freed: [],
      nearer: [],
      full: [],
    },
    before: { figures, units: [] },
    after: { figures: { ...figures, breaks: 2, lookUp: 5 }, units: [] },
    ...{ moves: 10, lifts: 10, goes: 10, looksAYear: 600, pace: { seconds: 12, lifts: 0 }, token: '' },
  };
  const back = 'Looking for things it gives back about 10 minutes in a year.';
  expect(sayVerdict(plan)).toEqual({
    head: 'Easier to find things.',
    body: `10 lifts, about 2 minutes at 12 seconds each. ${back} Nothing is left over.`,
  });
  expect(isWorthIt(plan)).toBe(true);
  // What takes longer than it gives back is better left alone, and says by how much it falls short.
  const long = { ...plan, lifts: 300, goes: 300, pace: { seconds: 9, lifts: 40 } };
  expect(sayVerdict(long)).toEqual({
    head: 'Leave it alone.',
    body: `300 lifts, about 45 minutes at your own pace. ${back} That is 35 minutes less than it takes. Nothing is left over.`,
  });
  expect(isWorthIt(long)).toBe(false);
  // What is carried over together takes the way once.
  expect(sayVerdict({ ...long, goes: 20 }).body).toMatch(/^300 lifts in 20 goes, about 24 minutes at/);
  const same = { ...long, by: 'maker' as const, after: plan.before };
  expect(sayVerdict(same).body).toMatch(/The makers stand together as well/);
  const smooth = { figures: { ...figures, meanStep: 8 }, units: [] };
  expect(sayVerdict({ ...plan, after: smooth }).body).toMatch(/calmer to look at/);
  const more = { figures: { ...figures, placed: 7 }, units: [] };
  expect(sayVerdict({ ...long, after: more }).head).toBe('2 things more in place.');
  expect(sayVerdict({ ...plan, lifts: 0 }).head).toBe('In order already.');
  // A rack as a picture is judged by how it looks.
  const picture = (beside: number) => ({ figures: { ...figures, beside }, units: [] });
  const seen = { ...plan, before: picture(25), after: picture(14) };
  expect(sayVerdict(seen)).toEqual({
    head: 'A calmer picture.',
    body: '10 lifts, about 2 minutes at 12 seconds each. Neighbours beside and below one another would differ by 14.0 on average, now 25.0. Nothing is left over.',
  });
  const hardly = { ...seen, before: picture(15) };
  expect([isWorthIt(seen), isWorthIt(hardly)]).toEqual([true, false]);
  expect(sayVerdict(hardly).body).toMatch(/hardly to be seen/);
});

test('when a place is full is said as far as it is known', () => {
  const now = new Date('2026-11-27T00:00:00Z');
  const full = (open: number, low: string, median: string, high: string) =>
    sayWhen({ what: 'group', id: 'red', open, when: { low, median, high } }, now);
  expect(full(3, '2027-01-10', '2027-03-10', '2027-08-10')).toBe('about Mar 2027 (Jan 2027 to Aug 2027)');
  // What may take twenty years says no more than that.
  expect(full(1, '2027-01-10', '2028-05-10', '2046-11-01')).toBe('about May 2028, hardly before Jan 2027');
  expect(full(0, '2026-11-27', '2026-11-27', '2026-11-27')).toBe('full now');
  expect(sayWhen({ what: 'unit', id: 'u1', open: 9, when: null }, now)).toBe('not in sight at this pace');
});
