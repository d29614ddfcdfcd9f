import { needsTare, settledAt, type ScaleReading } from '@red-shelf/core';
import { ScaleStandIn } from '../supply/scale/standIn';

/** Read every 150 ms, as long as `forMs`. */
function watch(scale: ScaleStandIn, clock: { now: number }, forMs: number): ScaleReading[] {
  const readings: ScaleReading[] = [];
  for (const end = clock.now + forMs; clock.now < end; clock.now += 150) readings.push(scale.read());
  return readings;
}

test('the stand-in settles, drifts and needs taring, as a small scale does', () => {
  const clock = { now: 0 };
  const scale = new ScaleStandIn(() => clock.now);
  const empty = settledAt(watch(scale, clock, 3000));
  expect(needsTare(empty ?? 0)).toBe(true);
  scale.tare();
  expect(needsTare(settledAt(watch(scale, clock, 3000)) ?? 99)).toBe(false);
  scale.put(12_300);
  const swinging = watch(scale, clock, 600);
  expect(settledAt(swinging)).toBeNull();
  expect(Math.abs((settledAt(watch(scale, clock, 3000)) ?? 0) - 12_300)).toBeLessThan(40);
  // Left alone for a while its zero is no longer where it was.
  scale.put(0);
  clock.now += 40_000;
  expect(needsTare(settledAt(watch(scale, clock, 3000)) ?? 0)).toBe(true);
});
