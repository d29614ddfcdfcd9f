import { supply } from '../test/harness';
import { windingLines } from './winding';

const ribbon = (attributes: object, left = 9_144_000) =>
  supply({
    kind: 'ribbon',
    form: 'spool',
    facts: { attributes },
    stock: { items: 1, left, state: 'ok', uses: 0, used: 0, lastUsedAt: null, parts: {} },
  } as never);

test('a ribbon of known thickness says how it lies on a card and on a core; others say nothing', () => {
  expect(windingLines(ribbon({ thickness: 300 }), 'metric')).toEqual([
    ['On a card', '40 mm along the turn: 64 turns, about 39 mm (28 mm to 50 mm) thick'],
    ['On a core', 'of 25 mm: about 64 mm (53 mm to 75 mm) across'],
  ]);
  expect(windingLines(ribbon({}), 'metric')).toEqual([]);
  expect(windingLines(ribbon({ thickness: 300 }, 0), 'metric')).toEqual([]);
});
