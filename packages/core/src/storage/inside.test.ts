import { evenGrid } from './models/grid';
import { suits } from './mayLive';
import { testUnit } from './test/testUnit';

const MM = 1000;
const lot = { id: 'l', as: 'whole', items: 1, left: 1, spot: null } as const;
const tall = (highMm: number) => ({
  supply: {
    id: 's',
    kind: 'companion' as const,
    form: 'other',
    facts: { size: { widthUm: 35 * MM, heightUm: highMm * MM, depthUm: 35 * MM } },
  },
  lot,
});
const tray = (facts: object) =>
  testUnit({
    model: evenGrid(2, 2, { widthUm: 40 * MM, heightUm: 40 * MM, depthUm: 30 * MM }),
    rules: { kinds: ['companion'] },
    facts,
  });

test('in a tray that lies, what stands is measured against its depth; above it things may stand out, under a lid not', () => {
  const ask = (highMm: number, facts: object) => suits(tall(highMm), { unit: tray(facts), cell: 0 });
  expect(ask(38, {})).toBeNull();
  expect(ask(38, { lies: true })).toBeNull();
  expect(ask(42, { lies: true })).toMatchObject({ code: 'too_high', needUm: 42 * MM, haveUm: 40 * MM });
  expect(ask(30, { lies: true, opens: 'lid' })).toBeNull();
  expect(ask(31, { lies: true, opens: 'pulled out' })).toMatchObject({ code: 'too_high', haveUm: 30 * MM });
});
