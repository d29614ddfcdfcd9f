/**
 * Made-up people using up one thing, day by day: how much goes each day, from the first day on. Each is a habit, not a rate: what is
 * done on which days, and how much then. Nothing here knows of the forecaster's own model.
 */
import type { Random } from '../../apps/server/src/demo/random.ts';

export type Habit = (random: Random) => (day: number) => number;

const whole = (random: Random, low: number, high: number): number =>
  low + Math.floor(random() * (high - low + 1));
/** Roughly normal, mean 0, deviation 1. */
const normal = (random: Random): number =>
  Array.from({ length: 12 }, random).reduce((sum, each) => sum + each, 0) - 6;

/** A use again after about so many days, give or take. */
function everyFew(random: Random, mean: number, give: number, amount: () => number): (day: number) => number {
  let next = mean * random();
  return (day) => {
    if (day < next) return 0;
    next = day + Math.max(1, mean + give * normal(random));
    return amount();
  };
}

export const HABITS: Readonly<Record<string, Habit>> = {
  steady: (random) => everyFew(random, 2 + random() * 5, 1, () => whole(random, 1, 3)),
  'weekends only': (random) => {
    const [share, most, first] = [0.4 + random() * 0.5, whole(random, 2, 8), whole(random, 0, 6)];
    return (day) => ((day + first) % 7 < 2 && random() < share ? whole(random, 1, most) : 0);
  },
  seasonal: (random) => {
    const [share, peak, depth] = [0.1 + random() * 0.4, random() * 365, 0.5 + random() * 0.5];
    return (day) =>
      random() < share * (1 + depth * Math.cos((2 * Math.PI * (day - peak)) / 365.25))
        ? whole(random, 1, 4)
        : 0;
  },
  bursty: (random) => {
    const [rest, long] = [20 + random() * 40, whole(random, 3, 9)];
    let [until, next] = [-1, random() * rest];
    return (day) => {
      if (day >= next) {
        until = day + whole(random, 2, long);
        next = until + rest * Math.exp(0.6 * normal(random));
      }
      return day < until ? whole(random, 1, 6) : 0;
    };
  },
  rare: (random) => everyFew(random, 25 + random() * 60, 12, () => whole(random, 1, 2)),
  drifting: (random) => {
    let level = Math.log(0.15 + random() * 0.4);
    return () => {
      level += 0.02 * normal(random);
      return random() < Math.min(0.95, Math.exp(level)) ? whole(random, 1, 3) : 0;
    };
  },
};

/** One that stops for good, at any time around the day it is asked. */
export const stopping =
  (habit: Habit, asked: number): Habit =>
  (random) => {
    const use = habit(random);
    const end = asked * (0.3 + random() * 0.9);
    return (day) => (day < end ? use(day) : 0);
  };
