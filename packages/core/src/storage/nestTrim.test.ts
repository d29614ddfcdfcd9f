import { evenGrid } from './models/grid';
import { nestIn } from './room/nest';
import { testUnit } from './test/testUnit';
import { trimFor } from './trimFor';
import type { Unit } from './unit';

const MM = 1000;
const size = (w: number, h: number, d: number) => ({ widthUm: w * MM, heightUm: h * MM, depthUm: d * MM });
const piece = (w: number, h: number, d: number, facts: Unit['facts'] = {}) =>
  testUnit({ sort: 'piece', model: null, facts: { outsideUm: size(w, h, d), ...facts } });
const tray = (w: number, h: number, d: number) =>
  testUnit({ model: { model: 'loose', ...size(w, h, d), fillPercent: 70 } });

test('a unit goes into what it is to stand in, or hears which side is too large; what nobody measured is not judged', () => {
  const shelf = tray(400, 300, 350);
  expect(nestIn(piece(300, 200, 300), shelf)).toMatchObject({ ok: true });
  expect(nestIn(piece(420, 200, 300), shelf)).toMatchObject({
    ok: false,
    because: 'too_large',
    refusals: [{ code: 'too_wide', needUm: 420 * MM, haveUm: 400 * MM }],
  });
  expect(nestIn(testUnit({ sort: 'piece', model: null, facts: {} }), shelf)).toBeNull();
  // On furniture things stand and hang as well; cells are for things.
  expect(nestIn(piece(420, 200, 300), piece(400, 300, 350))).toBeNull();
  expect(nestIn(tray(50, 20, 50), testUnit({ model: evenGrid(1, 1, size(90, 90, 90)) }))).toBeNull();
});

test('a drawer is filled from above: what is as deep as it goes in', () => {
  const drawer = testUnit({
    model: { model: 'loose', ...size(300, 100, 400), fillPercent: 70 },
    facts: { opens: 'pulled out' },
  });
  expect(nestIn(piece(290, 60, 390), drawer)).toMatchObject({ ok: true, through: { side: 'top' } });
  expect(nestIn(piece(290, 60, 410), drawer)).toMatchObject({ ok: false, because: 'too_large' });
});

test('a sheet a little too large for a pocket says what to cut off; far too large, or no sheet, says nothing', () => {
  const pockets = testUnit({
    model: evenGrid(2, 2, size(100, 140, 4)),
    rules: { kinds: ['sticker'] },
    facts: { template: 'sticker-album' },
  });
  const sheet = (w: number, h: number, kind: 'sticker' | 'ink' = 'sticker') => ({
    supply: {
      id: 's',
      kind,
      form: kind === 'ink' ? 'full-pad' : 'sheet',
      facts: { size: size(w, h, 1) },
    },
    lot: { id: 'l', as: 'whole' as const, items: 1, left: 1, spot: null },
  });
  const at = { unit: pockets, cell: 0 };
  expect(trimFor(sheet(106, 140), at)).toMatchObject({ trimUm: { widthUm: 6 * MM, heightUm: 0 } });
  expect(trimFor(sheet(90, 130), at)).toBeNull();
  expect(trimFor(sheet(150, 200), at)).toBeNull();
  expect(trimFor(sheet(106, 140, 'ink'), at)).toBeNull();
});
