import { KINDS } from '../kinds/definition';
import { formsOfKind } from '../kinds/registry';
import { offerSlots, racksFor, type OfferUnit, type Placeable } from './offer';
import type { RoomNow } from './mayLive';
import { evenGrid } from './models/grid';
import type { GridModel } from './models/gridSchema';
import { findTemplate } from './templates';
import { testUnit } from './test/testUnit';
import type { Unit } from './unit';

const forms = KINDS.flatMap((kind) =>
  formsOfKind(kind).map((form) => ({ ...form, label: `${kind} ${form.id}` })),
);

test.each(forms)('$label is kept in racks that take it', ({ id, kind, keptIn }) => {
  expect(keptIn.length).toBeGreaterThan(0);
  const made = racksFor({ ...thing('#808080', { kind, form: id }) });
  expect(made.map((template) => template.id)).toEqual(keptIn);
  expect(made.every(({ holds }) => holds.includes(kind))).toBe(true);
});

interface Thing {
  readonly id: string;
  readonly hex: string;
}
const thing = (hex: string, more: Partial<Placeable['supply']> = {}): Placeable => ({
  hex,
  supply: { id: 'new', kind: 'sticker', form: 'sheet', facts: {}, ...more },
  lot: { id: 'lot', as: 'whole', items: 1, left: 1, spot: null },
});
const unit = (
  id: string,
  template: string,
  slots: readonly (string | null)[],
  { model = {}, ...more }: Partial<Omit<Unit, 'model'>> & { model?: Partial<GridModel> } = {},
): OfferUnit<Unit, Thing> => {
  const found = findTemplate(template);
  if (found?.model.model !== 'grid') throw new Error(template);
  const [wide = 0, high = 0] = [found.model.columnsUm[0], found.model.rowsUm[0]];
  return {
    unit: testUnit({
      id,
      model: {
        ...evenGrid(1, slots.length, { widthUm: wide, heightUm: high, depthUm: found.model.depthUm }),
        ...model,
      },
      rules: { kinds: [...found.holds] },
      facts: { template },
      ...more,
    }),
    slots: slots.map((hex, i) => (hex === null ? null : { id: `${id}${i}`, hex })),
  };
};
/** What lives where, as far as a limit has to know. */
const roomOf = (units: readonly OfferUnit<Unit, Thing>[]): RoomNow => ({
  livingIn: (unitId) =>
    (units.find((each) => each.unit.id === unitId)?.slots ?? []).flatMap((here, cell) =>
      here
        ? [
            {
              supply: { id: here.id, kind: 'sticker' as const, form: 'sheet', facts: {} },
              lot: { id: here.id, as: 'whole' as const, items: 1, left: 1, spot: { unitId, cell, rank: 0 } },
            },
          ]
        : [],
    ),
});
const offers = (what: Placeable, units: readonly OfferUnit<Unit, Thing>[]) =>
  offerSlots(what, units, roomOf(units));
const RED = '#c0392b';
const PINK = '#e08a9a';
const BLUE = '#2b5fc0';

test('the open slot between its likes is offered, and says beside what', () => {
  const album = unit('a', 'sticker-album', [null, BLUE, null, RED, null, PINK, null]);
  const [offer] = offers(thing('#cc5560'), [album]);
  expect(offer).toMatchObject({ cell: 4, open: 4, made: true, beside: { id: 'a3' } });
  expect(offers(thing('#2b66c0'), [album])[0]).toMatchObject({ cell: 0, beside: { id: 'a1' } });
});

test('a rack made for the form goes before one that merely takes it; a full, spare or limited one is not offered', () => {
  const file = unit('b', 'card-file', [RED, null]);
  const small = unit('c', 'small-file', [BLUE, null]);
  const base = thing(RED, { kind: 'cardstock', form: 'cut-base' });
  const found = (...units: OfferUnit<Unit, Thing>[]) => offers(base, units).map((offer) => offer.unit.id);
  expect(found(file, small)).toEqual(['c', 'b']);
  expect(
    found(unit('d', 'small-file', [RED]), unit('e', 'small-file', [null], { facts: { standing: 'spare' } })),
  ).toEqual([]);
  expect(found(unit('f', 'small-file', [RED, null], { rules: { kinds: ['cardstock'], cap: 1 } }))).toEqual(
    [],
  );
  expect(found(unit('g', 'ribbon-box', [null]))).toEqual([]);
});

test('an empty rack offers the first slot it is filled by, and a skipped column never', () => {
  const offer = (model: Partial<GridModel>) =>
    offers(thing(RED), [unit('a', 'sticker-album', [null, null, null], { model })])[0];
  expect(offer({})).toMatchObject({ cell: 0, beside: null });
  expect(offer({ skipColumns: [1, 2] })).toMatchObject({ cell: 2 });
});

test('sorts of rack follow the form, and a thing too large for them gets none', () => {
  const ids = (more: Partial<Placeable['supply']>) => racksFor(thing(RED, more)).map(({ id }) => id);
  expect([ids({}), ids({ form: 'book' }), ids({ form: 'roll' })]).toEqual([
    ['sticker-album'],
    ['large-pockets'],
    ['roll-pegs'],
  ]);
  const poster = { size: { widthUm: 400_000, heightUm: 300_000, depthUm: 1000 } };
  expect(ids({ facts: poster })).toEqual([]);
});

test('a drawer where things lie loose is offered too, beside the nearest colour, until it is too full', () => {
  const sized = (heightUm: number) =>
    testUnit({
      id: 'k',
      model: { model: 'loose', widthUm: 200_000, heightUm, depthUm: 200_000, fillPercent: 50 },
      rules: { kinds: ['sticker'] },
    });
  const slots = [
    { id: 'x', hex: BLUE },
    { id: 'y', hex: PINK },
  ];
  expect(offers(thing('#cc5560'), [{ unit: sized(60_000), slots }])[0]).toMatchObject({
    cell: null,
    open: null,
    beside: { id: 'y' },
  });
  const full = { unit: sized(5000), slots: [...slots, ...slots, ...slots, ...slots] };
  expect(offers(thing('#cc5560'), [full])).toEqual([]);
});

test('what takes the too much of a place comes right behind it, before what only has room', () => {
  const [first = ''] = formsOfKind('sticker').find(({ id }) => id === 'sheet')?.keptIn ?? [];
  const full = unit('full', first, ['#808080'], { rules: { kinds: ['sticker'] } });
  const plain = unit('plain', 'large-pockets', ['#808080', null], {
    rules: { kinds: ['sticker'] },
    facts: {},
  });
  const over = unit('over', 'large-pockets', ['#ff0000', null], {
    rules: { kinds: ['sticker'] },
    facts: { overflowOf: 'full' },
  });
  const ids = offers(thing('#808080'), [full, plain, over]).map(({ unit: { id } }) => id);
  expect(ids).toEqual(['over', 'plain']);
});
