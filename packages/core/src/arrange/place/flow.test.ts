import { flowInto } from './flow';
import { shareOut, stretches } from '../spread';

test('the choosy are not crowded out: others move over for them', () => {
  // Three that fit both units come first and fill the first one; two that fit only that one still get in.
  expect(
    flowInto(
      [
        { count: 3, units: [0, 1] },
        { count: 2, units: [0] },
      ],
      [3, 3],
    ),
  ).toEqual([
    [1, 2],
    [2, 0],
  ]);
});

test('chains of moving over are found', () => {
  const flow = flowInto(
    [
      { count: 2, units: [0, 1] },
      { count: 2, units: [1, 2] },
      { count: 2, units: [0] },
    ],
    [2, 2, 2],
  );
  expect(flow.map((row) => row.reduce((a, b) => a + b, 0))).toEqual([2, 2, 2]);
});

test('nothing to place, nowhere to place it', () => {
  expect(flowInto([], [3])).toEqual([]);
  expect(flowInto([{ count: 2, units: [] }], [3])).toEqual([[0]]);
  expect(flowInto([{ count: 2, units: [0] }], [0])).toEqual([[0]]);
});

test('spare places go by weight, ties to the earlier, evenly when nobody weighs anything', () => {
  expect(shareOut(5, [3, 1])).toEqual([3, 2]);
  expect(shareOut(1, [2, 2])).toEqual([1, 0]);
  expect(shareOut(4, [0, 0])).toEqual([2, 2]);
  expect(shareOut(3, [])).toEqual([]);
});

test('stretches are cut where the group changes, and only there', () => {
  const parity = (n: number): boolean => n % 2 === 0;
  expect(stretches([2, 4, 1, 6], parity).map(({ items }) => items)).toEqual([[2, 4], [1], [6]]);
  expect(stretches([], parity)).toEqual([]);
});
