import { sayOutgrown } from '../api/outgrown';
import { supply, unit } from './harness';

const UNIT = unit({ id: 'u1' });
/** A pad with so many of it in its slot. */
const pads = (items: number) => {
  const one = supply({ id: 's1', place: { unitId: 'u1', slot: 4 } });
  return { ...one, holdings: one.holdings.map((lot) => ({ ...lot, items })) };
};
const known = (items: number) => ({ supplies: [pads(items)], units: [UNIT] });

test('an act that makes a thing too much for its slot says so, once', () => {
  expect(sayOutgrown(pads(1), known(1))).toBe('');
  expect(sayOutgrown(pads(9), known(1))).toMatch(/: Together they need [\d.]+ mm, and there are [\d.]+ mm/);
  expect(sayOutgrown(pads(10), known(9))).toBe('');
  expect(sayOutgrown(pads(1), known(9))).toBe('');
});

test('of a thing that is new, or that the act does not answer with, nothing is said', () => {
  expect(sayOutgrown(undefined, known(1))).toBe('');
  expect(sayOutgrown(pads(9), { supplies: [], units: [UNIT] })).toBe('');
});

test('a thing that is another now hears what its place does to that, once; one that was moved hears it there', () => {
  const hot = unit({ id: 'u1', facts: { marks: ['heat'] } });
  const pad = (chemistry: string, slot = 4) =>
    supply({ id: 's1', place: { unitId: 'u1', slot }, facts: { attributes: { chemistry } } });
  const before = { supplies: [pad('dye')], units: [hot] };
  expect(sayOutgrown(pad('permanent solvent'), before)).toMatch(/there is heat near/);
  expect(sayOutgrown(pad('pigment'), before)).toBe('');
  expect(sayOutgrown(pad('permanent solvent', 3), before)).toBe('');
  const solvent = { supplies: [pad('permanent solvent')], units: [hot] };
  expect(sayOutgrown(pad('alcohol'), solvent)).toBe('');
});
