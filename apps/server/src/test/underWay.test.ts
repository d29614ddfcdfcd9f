import { EventEmitter } from 'node:events';
import type { Request, Response } from 'express';
import { noteUnderWay, untilQuiet } from '../http/underWay';

/** Somebody asks for the list now. */
const ask = (): void =>
  void noteUnderWay(
    { method: 'GET', path: '/api/supplies' } as Request,
    new EventEmitter() as unknown as Response,
    () => undefined,
  );

/** After how many ms the waiting is over, when somebody asks at each of these. */
async function waited(asked: readonly number[], ...until: Parameters<typeof untilQuiet>): Promise<number> {
  const begun = performance.now();
  let over: number | undefined;
  void untilQuiet(...until).then(() => (over = performance.now() - begun));
  for (const at of asked) setTimeout(ask, at);
  await jest.advanceTimersByTimeAsync(10_000);
  return over ?? Infinity;
}

beforeEach(() => void jest.useFakeTimers({ now: 0 }));
afterEach(() => void jest.useRealTimers());

test('whoever asks is served first, and what waits for quiet still comes within its time', async () => {
  expect(await waited([], 500)).toBe(500);
  expect(await waited([300, 700], 500)).toBe(1200);
  const always = Array.from({ length: 30 }, (_, i) => 100 * i);
  expect(await waited(always, 500)).toBe(3400);
  expect(await waited(always, 500, 2000)).toBe(2000);
});
