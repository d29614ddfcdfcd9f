import { salvageFor, type StorageNeed } from './salvage';

const need = (what: StorageNeed['what'], w = 0, h = 0, count = 2): StorageNeed => ({
  what,
  widthUm: w * 1000,
  heightUm: h * 1000,
  count,
  where: 'card file C',
});
const thing = (kind: 'cardstock' | 'ink' | 'ribbon', form: string, left = 10) => ({
  kind,
  form,
  facts: {},
  stock: { left },
});

test('card that leaves is offered as dividers it is large enough for, either way round', () => {
  const needs = [need('divider', 300, 200), need('divider', 320, 200), need('tray')];
  expect(salvageFor(thing('cardstock', 'sheet-letter'), needs)).toEqual([]);
  expect(salvageFor(thing('cardstock', 'sheet-12'), needs).map(({ need: each }) => each.widthUm)).toEqual([
    300_000,
  ]);
  expect(salvageFor(thing('cardstock', 'sheet-letter'), [need('divider', 270, 210)])).toHaveLength(1);
});

test('it covers no more than there are sheets, and no more than is needed', () => {
  const [one] = salvageFor(thing('cardstock', 'sheet-12', 1), [need('winding card', 60, 90, 5)]);
  expect(one?.covers).toBe(1);
  const [five] = salvageFor(thing('cardstock', 'sheet-12', 40), [need('winding card', 60, 90, 5)]);
  expect(five?.covers).toBe(5);
  expect(
    salvageFor(thing('ink', 'full-pad'), [need('tray', 0, 0, 3), need('divider')]).map(
      ({ covers }) => covers,
    ),
  ).toEqual([1]);
  expect(salvageFor(thing('ink', 'full-pad'), [need('tray', 0, 0, 0)])).toEqual([]);
});
