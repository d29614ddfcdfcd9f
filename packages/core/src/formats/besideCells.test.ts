import fc from 'fast-check';
import { formOf } from '../kinds/registry';
import { readAside, writeAside } from './asideCell';
import { readLots, writeLots } from './lotsCell';

test('lots and what is put aside go out in a cell each and come back the same', () => {
  const said = fc.record({
    as: fc.constantFrom('whole' as const, 'base' as const, 'scrap' as const, 'pack' as const),
    n: fc.integer({ min: 1, max: 9999 }),
    size: fc.option(fc.tuple(fc.integer({ min: 1, max: 400_000 }), fc.integer({ min: 1, max: 400_000 }))),
    place: fc.constantFrom('', 'A3', 'B2·04', 'C'),
  });
  const forms = fc.constantFrom(
    { kind: 'ink' as const, form: 'full-pad' },
    { kind: 'cardstock' as const, form: 'sheet-12' },
    { kind: 'ribbon' as const, form: 'spool' },
  );
  fc.assert(
    fc.property(forms, fc.array(said, { minLength: 1, maxLength: 5 }), (of, others) => {
      const { counting } = formOf(of.kind, of.form);
      const lots = [{ as: 'whole' as const, n: 7, size: null, place: 'A1' }, ...others].map(
        ({ as, n, size, place }, i) => ({
          id: `l${i}`,
          as,
          items: as !== 'whole' || counting === 'fill' ? n : 0,
          left: as === 'whole' ? n * (counting === 'length' ? 1_234 : 3) : 0,
          sizeUm: as !== 'whole' && size ? { widthUm: size[0], heightUm: size[1] } : null,
          place,
        }),
      );
      const read = readLots(writeLots(lots, of), of);
      expect(read).toEqual(lots.map(({ id: _, ...lot }) => lot));
    }),
  );
  const card = { kind: 'cardstock', form: 'sheet-12' } as const;
  expect(['nothing', 'base 3', 'whole many', 'whole 3 of red'].map((text) => readLots(text, card))).toEqual([
    null,
    null,
    null,
    null,
  ]);
  const asides = [
    { project: 'Winter cards, large', amount: 3 },
    { project: 'Tags for Ada', amount: 12 },
  ];
  expect(readAside(writeAside(asides))).toEqual(asides);
  expect(readAside('some for tags')).toBeNull();
});
