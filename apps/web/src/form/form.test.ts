import { DEFAULT_PREFERENCES } from '../api/queries';
import { supply } from '../test/harness';
import { BLANK, formOfSupply, readForm, type SupplyForm } from './model';

const read = (more: Partial<SupplyForm>) =>
  readForm({ ...BLANK, name: 'A', hex: '#333', ...more }, {}, DEFAULT_PREFERENCES);

test('what was typed as said is read into whole SI steps', () => {
  const reading = read({
    kind: 'ribbon',
    form: 'spool',
    said: {
      a_material: 'satin',
      a_width: '5/8 in',
      a_wired: 'yes',
      price: '4,50',
      size: '98 × 20 × 66 mm',
      massMg: '1/2 oz',
      tags: 'autumn, Autumn ,, letters',
      spares: '2',
    },
  });
  expect(reading).toMatchObject({
    ok: true,
    fields: {
      facts: {
        attributes: { material: 'satin', width: 15_875, wired: true },
        price: { minor: 450, currency: 'EUR' },
        size: { widthUm: 98_000, heightUm: 20_000, depthUm: 66_000 },
        massMg: 14_175,
        tags: ['autumn', 'letters'],
        spares: 2,
      },
    },
  });
});

test('every wrong field gets its own sentence, and nothing is read', () => {
  const reading = read({
    kind: 'cardstock',
    form: 'sheet-12',
    said: { a_weight: '110 lb', price: 'dear', size: '12 × 12', spares: 'some', acquiredOn: 'spring' },
  });
  if (reading.ok) throw new Error('read what cannot be read');
  expect(Object.fromEntries(reading.refusals.map(({ path, message }) => [path, message]))).toEqual({
    'said.a_weight': expect.stringMatching(/pounds of what\? Write 110 lb cover/),
    'said.price': expect.stringMatching(/not a price/),
    'said.size': expect.stringMatching(/width × height × depth/),
    'said.spares': expect.stringMatching(/not a whole number/),
    'said.acquiredOn': expect.stringMatching(/2026-05-31/),
  });
});

test.each(['metric', 'inches'] as const)(
  'a supply put into the form and read again is the same, in %s',
  (units) => {
    const facts = {
      attributes: { weight: { cgsm: 29_745, basis: 'cover' as const }, paper: 'plain', sheetWidth: 304_800 },
      status: 'trial' as const,
      decideOn: '2026-12-01',
      grade: 'best' as const,
      collection: true,
      price: { minor: 1295, currency: 'USD' },
      size: { widthUm: 304_800, heightUm: 304_800, depthUm: 6_350 },
      massMg: 56_699,
      tags: ['a', 'b'],
      swatches: [
        {
          id: 's',
          hex: '#112233',
          made: 'stamped' as const,
          ground: 'white' as const,
          taken: 'typed' as const,
        },
      ],
    };
    const card = supply({ kind: 'cardstock', form: 'sheet-12', facts });
    const preferences = { ...DEFAULT_PREFERENCES, units };
    const reading = readForm(formOfSupply(card, preferences), card.facts, preferences);
    expect(reading).toMatchObject({ ok: true, fields: { name: card.name, hex: card.hex, facts } });
  },
);

test('a form that no longer asks a question forgets the answer', () => {
  const reading = read({ kind: 'ribbon', form: 'hank', said: { a_spoolCore: '25 mm', a_width: '1 in' } });
  expect(reading).toMatchObject({ ok: true, fields: { facts: { attributes: { width: 25_400 } } } });
});

test('what the form does not ask stays as it was: why never used, sleep, swatches', () => {
  const kept = {
    whyUnused: 'saving it' as const,
    dormant: { purpose: 'wedding', wakeOn: '2027-01-01' },
    grade: 'best' as const,
  };
  const reading = readForm({ ...BLANK, name: 'A', hex: '#333', said: {} }, kept, DEFAULT_PREFERENCES);
  const { grade: _, ...unasked } = kept;
  expect(reading).toMatchObject({ ok: true, fields: { facts: unasked } });
});
