import { busyIn } from './busy';

test('a place says how much of what is used most, and of what never was, is in it', () => {
  const things = [
    ...Array.from({ length: 30 }, (_, i) => ({ unitId: i < 25 ? 'a' : 'b', uses: 100 - i })),
    { unitId: 'b', uses: 0 },
    { unitId: 'c', uses: 1 },
  ];
  expect(Object.fromEntries(busyIn(things))).toEqual({
    a: { most: 20, never: 0 },
    b: { most: 0, never: 1 },
  });
  // Where little is used, all of it is what is used most.
  expect(Object.fromEntries(busyIn([{ unitId: 'a', uses: 2 }]))).toEqual({ a: { most: 1, never: 0 } });
});
