import fc from 'fast-check';
import { FINISHES } from '../colour/family';
import { KINDS } from '../kinds/definition';
import type { AttributeValue } from '../kinds/attributes';
import { attributesOf, formOf, formsOfKind } from '../kinds/registry';
import { readAnswers, writeAnswers } from './answersCell';
import { readCsv, type CsvTable } from './csvRead';
import { writeCsv } from './csvWrite';
import { guessMapping } from './fields';
import type { Facts } from '../stash/facts';
import { planImport, type KnownSupply, type RowVerdict } from './importPlan';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const table = (text: string | Uint8Array): CsvTable => {
  const read = readCsv(typeof text === 'string' ? bytes(text) : text);
  if (!read.ok) throw new Error(read.code);
  return read;
};
const plan = (text: string, known: readonly KnownSupply[] = []): RowVerdict[] => {
  const { rows, lines, headings } = table(text);
  return planImport({ rows, lines, mapping: guessMapping(headings), defaults: { kind: 'ink' } }, known);
};

test.each([
  ['commas', 'Name,Hex\nFern,#3a7\n', ','],
  ['semicolons', 'Name;Hex\nFern;#3a7\n', ';'],
  ['tabs', 'Name\tHex\nFern\t#3a7\n', '\t'],
])('%s part the cells', (_, text, delimiter) => {
  expect(table(text)).toMatchObject({
    delimiter,
    headings: ['Name', 'Hex'],
    rows: [['Fern', '#3a7']],
    lines: [2],
  });
});

test('encodings are told apart', () => {
  expect(table(new Uint8Array([...bytes('Name;Hex\nBr'), 0xfb, ...bytes('l;#333\n')]))).toMatchObject({
    encoding: 'windows-1252',
    rows: [['Brûl', '#333']],
  });
  const utf16 = Buffer.from('\uFEFFName,Hex\nBrûl,#333\n', 'utf16le');
  expect(table(new Uint8Array(utf16))).toMatchObject({ encoding: 'utf-16le', headings: ['Name', 'Hex'] });
  expect(table('\uFEFFName,Hex\nBrûl,#333\n')).toMatchObject({
    encoding: 'utf-8',
    headings: ['Name', 'Hex'],
  });
});

test.each([
  ['', 'csv_empty'],
  ['Name,Hex\n', 'csv_no_rows'],
  ['Name,Hex\n"Fern,#3a7\nMoss,#4b8\n', 'csv_open_quote'],
  ['\u0000\u0001PNG,\u0000', 'csv_not_text'],
])('refuses %j as %s', (text, code) => expect(readCsv(bytes(text))).toMatchObject({ ok: false, code }));

test('columns may come in any order and under other names', () => {
  expect(guessMapping(['Qty', 'Color', 'Brand', 'Item', 'Type'])).toEqual({
    quantity: 0,
    colour: 1,
    maker: 2,
    name: 3,
    kind: 4,
  });
});

test('every row says what will become of it, bad cells by name', () => {
  const verdicts = plan(
    'Kind,Name,Colour,Quantity\nInk,Fern,#3a7733,2\nRibbon,Sash,teal,3 yd\nInk,,#12,-1\nSpoon,X,#333,1\nInk,Fern,#3a7733,9\n',
  );
  expect(verdicts.map(({ line, verdict }) => [line, verdict])).toEqual([
    [2, 'add'],
    [3, 'add'],
    [4, 'refuse'],
    [5, 'refuse'],
    [6, 'refuse'],
  ]);
  expect(verdicts[0]).toMatchObject({ draft: { hex: '#3a7733' }, count: { items: 2, left: 120 } });
  expect(verdicts[1]).toMatchObject({
    draft: { kind: 'ribbon', hex: '#029386' },
    count: { left: 2_743_200 },
  });
  expect(verdicts[2]).toMatchObject({
    refusals: [
      { field: 'name', code: 'missing' },
      { field: 'colour', code: 'not_a_colour' },
      { field: 'quantity', code: 'negative' },
    ],
  });
  expect(verdicts[3]).toMatchObject({ refusals: [{ field: 'kind', code: 'unknown_kind', given: 'Spoon' }] });
  expect(verdicts[4]).toMatchObject({ sameAsLine: 2 });
});

const supply = fc
  .record({
    kind: fc.constantFrom(...KINDS),
    formIndex: fc.nat(10),
    name: fc.stringMatching(/^[A-Za-z=+@",; -]{1,20}$/).filter((text) => text.trim() === text && text !== ''),
    code: fc.stringMatching(/^[0-9]{0,4}$/),
    rgb: fc.integer({ min: 0, max: 0xffffff }),
    finish: fc.constantFrom(...FINISHES),
    items: fc.nat(5),
    share: fc.float({ min: 0, max: 1, noNaN: true }),
    facts: fc.constantFrom<Facts>(
      {},
      { tags: ['autumn', 'tea'], status: 'retired' },
      { barcode: '4006381333931', acquiredOn: '2026-02-28' },
      {
        status: 'trial',
        decideOn: '2026-12-01',
        grade: 'best',
        collection: true,
        stays: true,
        whyUnused: 'saving it',
        spares: 2,
        usesPerFill: 80,
        lowAt: 1234,
        price: { minor: 900, currency: 'JPY' },
        source: 'the fair; in spring',
        openedOn: '2026-03-01',
        size: { widthUm: 98_001, heightUm: 20_000, depthUm: 66_500 },
        massMg: 62_301,
        lidColour: true,
        otherHexes: ['#4c9a52', '#b3262b'],
        swatches: [
          { id: 'w1', hex: '#4c9a52', made: 'stamped', ground: 'this paper', taken: 'reader', spread: 0.8 },
          { id: 'w2', hex: '#4c9a53', made: 'as bought', ground: 'white', taken: 'typed', on: '2026-04-01' },
        ],
        trueSwatch: 'w1',
        dormant: { purpose: 'the wedding', wakeOn: '2027-01-01' },
      },
    ),
  })
  .map(({ formIndex, rgb, items, share: given, ...rest }): Omit<KnownSupply, 'id'> => {
    const share = Math.abs(given); // never −0
    const forms = formsOfKind(rest.kind);
    const form = forms[formIndex % forms.length]!;
    const perFill = form.usesPerFill ?? 1;
    const left =
      form.counting === 'length'
        ? Math.round(share * 9e6)
        : form.counting === 'fill'
          ? Math.round(share * items * perFill)
          : items;
    const count = { left, items: form.counting === 'length' ? Math.min(1, left) : items };
    return {
      ...rest,
      ...count,
      form: form.id,
      maker: 'Osselwick',
      range: '',
      hex: `#${rgb.toString(16).padStart(6, '0')}`,
      familyOverride: null,
      familyReason: '',
      note: '',
    };
  });

test('an exported list read back over the same stash changes nothing', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(supply, { selector: ({ name }) => name.toLowerCase(), minLength: 1, maxLength: 8 }),
      (supplies) => {
        const known = supplies.map((each, i) => ({ ...each, id: `s${i}` }));
        const verdicts = plan(writeCsv(known), known);
        expect(verdicts.map((verdict) => verdict.verdict)).toEqual(known.map(() => 'same'));
      },
    ),
  );
});

test('only what the file says is changed', () => {
  const form = formOf('ink', 'full-pad');
  const known: KnownSupply = {
    id: 's1',
    kind: 'ink',
    form: form.id,
    name: 'Fern',
    maker: '',
    range: '',
    code: '',
    hex: '#3a7733',
    finish: 'shimmer',
    familyOverride: 'teal',
    familyReason: 'I reach for it as teal',
    note: 'dry',
    facts: {},
    items: 1,
    left: 30,
  };
  const [verdict] = plan('Name,Colour\nFern,#4b8844\n', [known]);
  expect(verdict).toMatchObject({
    verdict: 'change',
    id: 's1',
    fields: ['colour'],
    count: null,
    draft: { hex: '#4b8844', finish: 'shimmer', familyOverride: 'teal', note: 'dry' },
  });
});

test('tags, standing, barcode and day acquired come in, and what is wrong is said cell by cell', () => {
  const csv = 'Name,Colour,Tags,Standing,Barcode,Acquired\n';
  const [good] = plan(`${csv}Fern,#4c9a52,"autumn; tea",Retired,4006381333931,2026-02-28\n`, []);
  expect(good).toMatchObject({
    verdict: 'add',
    draft: {
      facts: {
        tags: ['autumn', 'tea'],
        status: 'retired',
        barcode: '4006381333931',
        acquiredOn: '2026-02-28',
      },
    },
  });
  const [bad] = plan(`${csv}Fern,#4c9a52,,borrowed,?!,spring\n`, []);
  expect(bad).toMatchObject({
    verdict: 'refuse',
    refusals: [
      { field: 'standing', code: 'unknown_standing', given: 'borrowed' },
      { field: 'acquired', code: 'not_a_day', given: 'spring' },
      { field: 'barcode', code: 'not_a_barcode' },
    ],
  });
});

/** Answers to every question of a form, of whole µm, mg and µl. */
const answered = fc
  .record({ kind: fc.constantFrom(...KINDS), pick: fc.nat(100), n: fc.integer({ min: 1, max: 99_999 }) })
  .map(({ kind, pick, n }) => {
    const forms = formsOfKind(kind);
    const form = forms[pick % forms.length]!;
    const attributes = Object.fromEntries(
      attributesOf(kind, form.id).map((each): [string, AttributeValue] => {
        switch (each.type) {
          case 'choice':
            return [each.id, each.options[pick % each.options.length]!];
          case 'text':
            return [each.id, `words; with \\ and: more ${n}`];
          case 'flag':
            return [each.id, pick % 2 === 0];
          case 'paper':
            return [each.id, { cgsm: n, basis: null }];
          default:
            return [each.id, n];
        }
      }),
    );
    return { kind, form: form.id, attributes };
  });

test('a kind’s own answers go out in one cell and come back the same', () => {
  fc.assert(
    fc.property(answered, ({ attributes, ...of }) => {
      expect(readAnswers(writeAnswers({ attributes }, of), of)).toEqual({ attributes });
    }),
  );
  const pad = { kind: 'ink', form: 'full-pad' } as const;
  expect(readAnswers('Chemistry: dye; Shoe size: 43', pad)).toBeNull();
  expect(readAnswers('dye', pad)).toBeNull();
});

test('lots that do not add up to the quantity are refused', () => {
  const [row] = plan(
    'Kind,Form,Name,Colour,Quantity,Lots\ncardstock,sheet-12,Fern,#333,9,whole 4; whole 4 in B1\n',
  );
  expect(row).toMatchObject({ refusals: [{ field: 'lots', code: 'lots_differ' }] });
});

test('all that a list says of a thing comes into another stash as it was', () => {
  fc.assert(
    fc.property(supply, ({ items, left, ...thing }) => {
      const [row] = plan(writeCsv([{ ...thing, items, left }]));
      expect(row).toMatchObject({ verdict: 'add', draft: { facts: thing.facts } });
    }),
  );
  const [refused] = plan('Name,Colour,Price,Swatches\nFern,#333,dear,red on blue\n');
  expect(refused).toMatchObject({ verdict: 'refuse', refusals: [{ field: 'price' }, { field: 'swatches' }] });
});
