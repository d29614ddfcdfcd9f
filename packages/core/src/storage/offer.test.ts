import { KINDS } from '../kinds/definition';
import { formsOfKind } from '../kinds/registry';
import { offerSlots, racksFor, type OfferUnit, type Placeable } from './offer';
import { findTemplate } from './templates';
import { fitInSlot } from './unit';
import type { UnitFacts } from './unitFacts';

const forms = KINDS.flatMap((kind) =>
  formsOfKind(kind).map((form) => ({ ...form, label: `${kind} ${form.id}` })),
);

test.each(forms)('$label is kept in racks that take it', ({ kind, keptIn, envelope }) => {
  expect(keptIn.length).toBeGreaterThan(0);
  for (const id of keptIn) {
    const template = findTemplate(id);
    expect(template?.holds).toContain(kind);
    expect(template && fitInSlot(envelope, template.slot)).toBeNull();
  }
});

interface Thing {
  readonly id: string;
  readonly hex: string;
}
const thing = (hex: string, more: Partial<Placeable> = {}): Placeable => ({
  kind: 'sticker',
  form: 'sheet',
  hex,
  facts: {},
  ...more,
});
const unit = (
  id: string,
  template: string,
  slots: readonly (string | null)[],
  facts: UnitFacts = {},
): OfferUnit<{ id: string }, Thing> => {
  const found = findTemplate(template);
  if (!found) throw new Error(template);
  return {
    unit: { ...found, id, letter: id, template, rows: 1, columns: slots.length },
    facts,
    slots: slots.map((hex, i) => (hex === null ? null : { id: `${id}${i}`, hex })),
  };
};
const RED = '#c0392b';
const PINK = '#e08a9a';
const BLUE = '#2b5fc0';

test('the open slot between its likes is offered, and says beside what', () => {
  const album = unit('a', 'sticker-album', [null, BLUE, null, RED, null, PINK, null]);
  const [offer] = offerSlots(thing('#cc5560'), [album]);
  expect(offer).toMatchObject({ slot: 4, open: 4, made: true, beside: { id: 'a3' } });
  expect(offerSlots(thing('#2b66c0'), [album])[0]).toMatchObject({ slot: 0, beside: { id: 'a1' } });
});

test('a rack made for the form goes before one that merely takes it; a full, spare or limited one is not offered', () => {
  const file = unit('b', 'card-file', [RED, null]);
  const small = unit('c', 'small-file', [BLUE, null]);
  const base = thing(RED, { kind: 'cardstock', form: 'cut-base' });
  const found = (...units: Parameters<typeof offerSlots<{ id: string }, Thing>>[1]) =>
    offerSlots(base, units).map((offer) => offer.unit.id);
  expect(found(file, small)).toEqual(['c', 'b']);
  expect(
    found(unit('d', 'small-file', [RED]), unit('e', 'small-file', [null], { standing: 'spare' })),
  ).toEqual([]);
  expect(found(unit('f', 'small-file', [RED, null], { cap: 1 }))).toEqual([]);
  expect(found(unit('g', 'ribbon-box', [null]))).toEqual([]);
});

test('an empty rack offers the first slot it is filled by, and a skipped column never', () => {
  const offer = (facts: UnitFacts) =>
    offerSlots(thing(RED), [unit('a', 'sticker-album', [null, null, null], facts)])[0];
  expect(offer({})).toMatchObject({ slot: 0, beside: null });
  expect(offer({ skipColumns: [1, 2] })).toMatchObject({ slot: 2 });
});

test('sorts of rack follow the form, and a thing too large for them gets none', () => {
  const ids = (more: Partial<Placeable>) => racksFor(thing(RED, more)).map(({ id }) => id);
  expect([ids({}), ids({ form: 'book' }), ids({ form: 'roll' })]).toEqual([
    ['sticker-album'],
    ['large-pockets'],
    ['roll-pegs'],
  ]);
  const poster = { size: { widthUm: 400_000, heightUm: 300_000, depthUm: 1000 } };
  expect(ids({ facts: poster })).toEqual([]);
});
