import { KINDS } from './definition';
import { findForm, formOf, formsOfKind, KIND_DEFINITIONS, UnknownFormError } from './registry';

const all = KINDS.flatMap((kind) =>
  formsOfKind(kind).map((form) => ({ ...form, label: `${kind} ${form.id}` })),
);

test.each(all)('$label can be drawn, counted and run low', (form) => {
  const { widthUm, heightUm, depthUm } = form.envelope;
  expect(Math.min(widthUm, heightUm, depthUm)).toBeGreaterThan(0);
  expect(Math.max(widthUm, heightUm, depthUm)).toBeLessThan(1_000_000);
  expect(form.usualPurchase).toBeGreaterThan(0);
  expect(form.lowAt).toBeGreaterThanOrEqual(0);
  // What runs dry has a capacity above its low mark; what is counted has none.
  if (form.counting === 'fill') expect(form.usesPerFill).toBeGreaterThan(form.lowAt);
  else expect(form.usesPerFill).toBeUndefined();
  // One purchase lifts a thing out of "low", or the list would never empty.
  if (form.counting !== 'fill' && form.lowAt > 1)
    expect(form.usualPurchase).toBeGreaterThanOrEqual(form.lowAt / 10);
});

test.each(KINDS)('%s starts with a form of its own, and form names are not confused', (kind) => {
  expect(findForm(kind, KIND_DEFINITIONS[kind].defaultForm)).toBeDefined();
  const forms = formsOfKind(kind);
  expect(new Set(forms.map(({ id }) => id)).size).toBe(forms.length);
  expect(new Set(forms.map(({ name }) => name)).size).toBe(forms.length);
  expect(forms.every((form) => form.kind === kind)).toBe(true);
});

test('a form no kind has is not found, and a named error where it must be there', () => {
  expect(findForm('ink', 'spool')).toBeUndefined();
  expect(() => formOf('ink', 'spool')).toThrow(UnknownFormError);
  expect(() => formOf('ink', 'spool')).toThrow('Kind ink has no form "spool"');
});
