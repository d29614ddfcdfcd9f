import { DAY } from '../stash/idle';
import { fullWhen } from './full';
import { numbersFrom } from './smooth/numbers';

const NOW = Date.parse('2026-06-01T00:00:00Z');
const bought = (count: number, days: number): number[] =>
  Array.from({ length: count }, (_, i) => NOW - (i + 0.5) * (days / count) * DAY);

test('it is full when the last open spot is filled, at the pace things came, and the range is wider the less is known', () => {
  const [known, hardly] = [
    fullWhen(10, bought(40, 400), NOW - 400 * DAY, NOW)!,
    fullWhen(10, bought(4, 40), NOW - 40 * DAY, NOW)!,
  ];
  const days = (time: number): number => (time - NOW) / DAY;
  expect(days(known.median)).toBeGreaterThan(85);
  expect(days(known.median)).toBeLessThan(105);
  expect(known.low).toBeLessThan(known.median);
  expect(days(hardly.high) - days(hardly.low)).toBeGreaterThan(1.5 * (days(known.high) - days(known.low)));
  expect(fullWhen(0, [], NOW - DAY, NOW)).toEqual({ median: NOW, low: NOW, high: NOW });
  expect(fullWhen(60, [], NOW - 400 * DAY, NOW)).toBeNull();
});

test('of rooms whose pace is drawn at random about four of five are full within the range', () => {
  const number = numbersFrom(11);
  const share = (): number => (number() + 0.5) / 2 ** 32;
  const wait = (rate: number): number => -Math.log(share()) / rate;
  let [inside, all] = [0, 0];
  for (let room = 0; room < 4000; room++) {
    // From one purchase in four months to one in ten days.
    const rate = Math.exp(Math.log(1 / 120) + share() * Math.log(12));
    const times: number[] = [];
    for (let at = wait(rate); at < 365; at += wait(rate)) times.push(NOW - at * DAY);
    const found = fullWhen(8, times, NOW - 365 * DAY, NOW);
    if (!found) continue;
    let at = 0;
    for (let k = 0; k < 8; k++) at += wait(rate);
    all++;
    if (NOW + at * DAY >= found.low && NOW + at * DAY <= found.high) inside++;
  }
  expect(inside / all).toBeGreaterThan(0.76);
  expect(inside / all).toBeLessThan(0.86);
});
