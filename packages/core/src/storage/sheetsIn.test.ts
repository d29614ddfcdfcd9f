import type { Facts } from '../stash/facts';
import type { LotAs } from '../kinds/definition';
import { sheetsIn } from './sheetsIn';

const lot = (left: number, as: LotAs = 'whole') => ({ id: 'l', as, items: 1, left, spot: null });
const thing = (kind: 'sticker' | 'cardstock' | 'ink', form: string, facts: Facts = {}) => ({
  id: form,
  kind,
  form,
  facts,
});

test('sheets are counted with how thick they lie and the pocket that takes the largest; what is no sheet is left out', () => {
  const sticker = thing('sticker', 'sheet', {
    attributes: { sheetWidth: 150_000, sheetHeight: 100_000 },
  });
  const card = thing('cardstock', 'sheet-a4', { attributes: { weight: { cgsm: 20_000, basis: null } } });
  const found = sheetsIn([
    { supply: sticker, lot: lot(8) },
    { supply: card, lot: lot(10) },
    { supply: thing('ink', 'full-pad'), lot: lot(1000) },
  ]);
  // 8 × 0.25 mm, and 10 sheets of 200 g/m², 0.25 mm each by the usual bulk.
  expect(found).toEqual({ count: 18, thickUm: 8 * 250 + 10 * 250, widthUm: 210_000, heightUm: 297_000 });
});

test('none is no sheets', () => {
  expect(sheetsIn([])).toEqual({ count: 0, thickUm: 0, widthUm: 0, heightUm: 0 });
});
