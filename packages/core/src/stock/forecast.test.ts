import { numbersFrom } from '../arrange/smooth/numbers';
import { forecastRunOut } from './forecast';
import { usesIn, type Told } from './uses';

const DAY = 86_400_000;
const START = Date.parse('2025-01-01T00:00:00Z');
const iso = (day: number): string => new Date(START + day * DAY).toISOString();
const dayOf = (text: string): number => (Date.parse(text) - START) / DAY;
/** So much every so many days, up to a day. */
const every = (days: number, amount: number, until: number, from = days) =>
  Array.from({ length: Math.floor((until - from) / days) + 1 }, (_, i) => ({
    at: iso(from + i * days),
    amount,
  }));

test('steady use runs out when it would, and the more is known the narrower the range', () => {
  const forecast = (until: number) => forecastRunOut(every(4, 2, until), 30, iso(until), { since: iso(0) });
  const [short, long] = [forecast(40), forecast(400)];
  expect(Math.abs(dayOf(long.runsOut!.median) - 460)).toBeLessThan(6);
  expect(long.perDay.value).toBeCloseTo(0.5, 1);
  expect(long.perDay.low).toBeLessThan(0.5);
  expect(long.perDay.high).toBeGreaterThan(0.5);
  const width = ({ runsOut }: typeof short): number => dayOf(runsOut!.high) - dayOf(runsOut!.low);
  expect(width(long)).toBeLessThan(width(short) * 0.8);
  expect(dayOf(long.runsOut!.low)).toBeLessThan(460);
  expect(dayOf(long.runsOut!.high)).toBeGreaterThan(460);
});

test('nothing used, nothing left, and what is used no more', () => {
  expect(forecastRunOut([], 10, iso(100)).runsOut).toBeNull();
  expect(forecastRunOut([], 0, iso(100)).runsOut).toEqual({
    ...{ median: '2025-04-11', low: '2025-04-11', high: '2025-04-11' },
  });
  // One use only begins the watching, unless it is said since when it is watched.
  expect(forecastRunOut([{ at: iso(0), amount: 3 }], 10, iso(50)).runsOut).toBeNull();
  expect(forecastRunOut([{ at: iso(40), amount: 3 }], 10, iso(50), { since: iso(0) }).runsOut).not.toBeNull();
  const used = every(4, 2, 200);
  expect(forecastRunOut(used, 20, iso(203)).runsOut).not.toBeNull();
  expect(forecastRunOut(used, 20, iso(420)).runsOut).toBeNull();
});

test('a season that was seen for more than a year counts: before the busy months it runs out sooner', () => {
  // Three times as much in November and December.
  const history = Array.from({ length: 830 }, (_, day) => day).flatMap((day) => {
    const busy = new Date(START + day * DAY).getUTCMonth() >= 10;
    return day % (busy ? 2 : 6) === 0 ? [{ at: iso(day), amount: 1 }] : [];
  });
  const lasts = (day: number): number =>
    dayOf(
      forecastRunOut(
        history.filter(({ at }) => dayOf(at) < day),
        15,
        iso(day),
        { since: iso(0) },
      ).runsOut!.median,
    ) - day;
  // From the end of October against from the end of January.
  expect(lasts(668)).toBeLessThan(0.7 * lasts(760));
});

test('the range holds in about four of five of uses that fall at random, whatever their order in the list', () => {
  const number = numbersFrom(5);
  const share = (): number => number() / 2 ** 32;
  let held = 0;
  const RUNS = 300;
  for (let run = 0; run < RUNS; run++) {
    const rate = 0.05 + 0.4 * share();
    const days = Array.from({ length: 900 }, () => (share() < rate ? 1 + Math.floor(3 * share()) : 0));
    const history = days
      .slice(0, 200)
      .flatMap((amount, day) => (amount > 0 ? [{ at: iso(day), amount }] : []));
    if (history.length < 2) {
      held++;
      continue;
    }
    const left = Math.ceil(rate * 2 * (10 + 100 * share()));
    let [truth, gone] = [200, 0];
    for (; truth < 900 && gone < left; truth++) gone += days[truth] ?? 0;
    const { runsOut } = forecastRunOut(history, left, iso(200), { since: iso(0) });
    expect(forecastRunOut([...history].reverse(), left, iso(200), { since: iso(0) }).runsOut).toEqual(
      runsOut,
    );
    if (!runsOut || (truth >= dayOf(runsOut.low) - 1 && truth <= dayOf(runsOut.high) + 1)) held++;
  }
  expect(held / RUNS).toBeGreaterThan(0.75);
  expect(held / RUNS).toBeLessThan(0.93);
});

test('what is no time, no use or no amount is said', () => {
  expect(() => forecastRunOut([{ at: 'soon', amount: 1 }], 3, iso(0))).toThrow(/“soon” is no time/);
  expect(() => forecastRunOut([{ at: iso(0), amount: -1 }], 3, iso(9))).toThrow(/A use of -1 is none/);
  expect(() => forecastRunOut([], -1, iso(9))).toThrow(/nothing or more/);
});

test('what was used is read from a history: said, cut, filled over, and found missing; what was undone is not', () => {
  const at = (day: number) => ({ at: iso(day), supplyId: 's' });
  const history: Told[] = [
    { id: '1', ...at(1), act: 'use', of: 'whole', amount: 2 },
    { id: '2', ...at(2), act: 'use', of: 'pack', amount: 1 },
    { id: '3', ...at(3), act: 'count', of: 'whole', items: 1, left: 4, unlogged: 3 },
    { id: '4', ...at(4), act: 'cut', sheets: 1, bases: 2, scraps: 0 },
    { id: '5', ...at(5), act: 'use', of: 'whole', amount: 9 },
    { id: '6', ...at(6), act: 'undo', undoes: '5' },
    { id: '7', at: iso(7), supplyId: 'other', act: 'refill', from: { supplyId: 's', amount: 5 } },
    { id: '8', ...at(8), act: 'buy', of: 'whole', amount: 20 },
  ];
  expect(usesIn(history, 's')).toEqual([
    { at: iso(1), amount: 2 },
    { at: iso(3), amount: 3 },
    { at: iso(4), amount: 1 },
    { at: iso(7), amount: 5 },
  ]);
});
