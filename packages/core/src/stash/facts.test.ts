import { formsOfKind, attributesOf } from '../kinds/registry';
import { KINDS } from '../kinds/definition';
import { checkFacts, fittingAttributes } from './check';
import { effectiveHex, sparse } from './facts';
import { factsSchema } from './factsSchema';

const messages = (...given: Parameters<typeof checkFacts>) =>
  checkFacts(...given).map(({ message }) => message);

test('a kind takes its own attributes and refuses others, by field', () => {
  expect(checkFacts('ribbon', 'spool', { attributes: { material: 'satin', width: 25_400 } })).toEqual([]);
  expect(messages('ribbon', 'spool', { attributes: { material: 'tin' } })).toEqual([
    expect.stringMatching(/^Material must be one of satin/),
  ]);
  expect(messages('ribbon', 'hank', { attributes: { spoolCore: 8000 } })).toEqual([
    'That is not asked of this form.',
  ]);
  expect(
    checkFacts('cardstock', 'sheet-12', { attributes: { weight: { cgsm: 21_600, basis: null } } }),
  ).toEqual([]);
  expect(checkFacts('ink', 'drops', { attributes: { volume: -1 } })[0]?.path).toEqual([
    'attributes',
    'volume',
  ]);
});

test('changing the form keeps what it still asks', () => {
  const facts = { attributes: { material: 'satin', spoolCore: 8000 } };
  expect(fittingAttributes('ribbon', 'hank', facts).attributes).toEqual({ material: 'satin' });
});

test('what contradicts itself is said', () => {
  expect(messages('ink', 'full-pad', { status: 'trial' })).toEqual(['A trial needs a day to decide by.']);
  expect(messages('ink', 'full-pad', { trueSwatch: 'x' })).toHaveLength(1);
  expect(messages('ink', 'full-pad', { acquiredOn: '2026-02-01', openedOn: '2026-01-01' })).toHaveLength(1);
  expect(factsSchema.safeParse({ acquiredOn: 'last spring' }).success).toBe(false);
});

test('the true swatch decides the colour, and what says nothing is not kept', () => {
  const swatches = [
    { id: 'a', hex: '#112233', made: 'stamped', ground: 'white', taken: 'typed' },
    { id: 'b', hex: '#445566', made: 'blended', ground: 'kraft', taken: 'reader' },
  ] as const;
  expect(effectiveHex('#ffffff', { swatches: [...swatches], trueSwatch: 'b' })).toBe('#445566');
  expect(effectiveHex('#ffffff', { swatches: [...swatches] })).toBe('#ffffff');
  expect(sparse({ tags: [], status: 'current', collection: false, source: '', grade: 'best' })).toEqual({
    grade: 'best',
  });
});

test.each(KINDS.flatMap((kind) => formsOfKind(kind).map((form) => [kind, form.id] as const)))(
  '%s %s asks few things first, and no question twice',
  (kind, form) => {
    const asked = attributesOf(kind, form);
    expect(asked.filter(({ ask }) => ask === 'first').length).toBeLessThanOrEqual(3);
    expect(new Set(asked.map(({ id }) => id)).size).toBe(asked.length);
  },
);
