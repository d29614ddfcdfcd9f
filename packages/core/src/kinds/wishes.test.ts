import { KINDS } from './definition';
import { hazardsOf } from '../stash/hazards';
import { findForm, formsOfKind } from './registry';

const all = KINDS.flatMap((kind) =>
  formsOfKind(kind).map((form) => ({ ...form, label: `${kind} ${form.id}` })),
);

test.each(all)('$label weighs something, and its partners exist', ({ massG, partners = [] }) => {
  expect(massG).toBeGreaterThan(0);
  expect(massG).toBeLessThan(2000);
  for (const { kind, form } of partners) if (form) expect(findForm(kind, form)).toBeDefined();
});

test.each(all)('$label says why it wants to lie or stand as it does', ({ orientation }) => {
  if (orientation) expect(orientation.because).toMatch(/^[A-Z].*\.$/);
});

test('what sheds glitter or leaks is avoided by what suffers from it', () => {
  const avoids = (kind: (typeof KINDS)[number], form: string) => findForm(kind, form)?.avoid ?? [];
  expect(findForm('companion', 'glitter')?.traits).toContain('sheds glitter');
  expect(avoids('cardstock', 'sheet-12')).toContain('sheds glitter');
  expect(findForm('ink', 'refill')?.traits).toContain('leaks');
  expect(avoids('ribbon', 'spool')).toContain('leaks');
});

test('an ink pad is looked for its refill, foam, card and marker; a stamp for its die and the other way round', () => {
  const partners = (kind: (typeof KINDS)[number], form: string) =>
    (findForm(kind, form)?.partners ?? []).map((partner) => [partner.kind, partner.form, partner.by]);
  expect(partners('ink', 'full-pad')).toEqual([
    ['ink', 'refill', 'colour name'],
    ['companion', 'foam', 'colour name'],
    ['cardstock', undefined, 'colour name'],
    ['marker', undefined, 'colour name'],
  ]);
  expect(partners('companion', 'stamp')).toEqual([['companion', 'die', 'number']]);
  expect(partners('companion', 'die')).toEqual([['companion', 'stamp', 'number']]);
});

test('full sheets keep packs, bases and scraps; what is cut already keeps none', () => {
  expect(findForm('cardstock', 'sheet-12')?.parts).toEqual(['pack', 'base', 'scrap']);
  expect(findForm('cardstock', 'cut-base')?.parts).toBeUndefined();
  expect(findForm('ink', 'full-pad')?.parts).toBeUndefined();
});

test('cautions go by what is in a thing: a solvent pad has one, a dye refill has none, an unknown bottle has', () => {
  const ink = (form: string, chemistry?: string) =>
    hazardsOf({ kind: 'ink', form, facts: chemistry ? { attributes: { chemistry } } : {} });
  expect(ink('full-pad', 'permanent solvent')).toEqual(['solvent']);
  expect(ink('full-pad', 'dye')).toEqual([]);
  expect(ink('refill', 'dye')).toEqual([]);
  expect(ink('refill')).toEqual(['solvent']);
  expect(ink('drops', 'alcohol')).toEqual(['solvent']);
  expect(ink('mini-pad', 'watermark or embossing')).toEqual(['heat']);
  expect(hazardsOf({ kind: 'companion', form: 'gems', facts: {} })).toEqual(['small']);
});
