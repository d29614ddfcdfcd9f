import {
  attributesOf,
  formOf,
  GRADES,
  STATUSES,
  parseSize,
  splitWords,
  type AttributeDefinition,
  type Attributes,
  type AttributeValue,
  type Facts,
  type FormDefinition,
  type Kind,
} from '@red-shelf/core';
import type { Preferences } from '@red-shelf/contract';
import { readMeasure, readPrice, sayLength, sayMass, sayPrice, type Units } from '../copy/measure';

/** What is wrong with a field of the form, in a sentence. */
export interface FormRefusal {
  readonly path: string;
  readonly message: string;
}
type Said = Readonly<Record<string, string>>;
type Read<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };

const wholeNumber = (text: string): Read<number> =>
  /^\d{1,9}$/.test(text.trim())
    ? { ok: true, value: Number(text) }
    : { ok: false, message: `“${text.slice(0, 40)}” is not a whole number.` };

function readAttribute(attribute: AttributeDefinition, text: string, units: Units): Read<AttributeValue> {
  switch (attribute.type) {
    case 'choice':
    case 'text':
      return { ok: true, value: text.trim() };
    case 'flag':
      return { ok: true, value: text === 'yes' };
    case 'number':
      return wholeNumber(text);
    default:
      return readMeasure(text, attribute.type, units);
  }
}

/** `98 × 20 × 66 mm`: width, height and depth; the last unit serves all. */
function readSize(text: string, units: Units): Read<NonNullable<Facts['size']>> {
  const size = parseSize(text, 3, units === 'inches' ? 'in' : 'mm');
  const message = `“${text.slice(0, 40)}” is not a size; write width × height × depth, such as 98 × 20 × 66 mm.`;
  if (!size.ok) return { ok: false, message };
  const [widthUm = 0, heightUm = 0, depthUm = 0] = size.um;
  return { ok: true, value: { widthUm, heightUm, depthUm } };
}

const plainDay = (text: string): Read<string> =>
  /^\d{4}-\d{2}-\d{2}$/.test(text)
    ? { ok: true, value: text }
    : { ok: false, message: 'Write the date like 2026-05-31.' };
const asText = (text: string): Read<string> => ({ ok: true, value: text.trim() });
const oneOf =
  <T extends string>(known: readonly T[]) =>
  (text: string): Read<T> => {
    const found = known.find((each) => each === text);
    return found
      ? { ok: true, value: found }
      : { ok: false, message: `“${text}” is not one of ${known.join(', ')}.` };
  };
const yes = (text: string): Read<boolean> => ({ ok: true, value: text === 'yes' });

/** How each fact is read from what was typed. */
const readers = ({ units, currency }: Preferences, length: boolean) =>
  ({
    status: oneOf(STATUSES),
    decideOn: plainDay,
    grade: oneOf(GRADES),
    collection: yes,
    stays: yes,
    lidColour: yes,
    spares: wholeNumber,
    lowAt: (text: string) => (length ? readMeasure(text, 'length', units) : wholeNumber(text)),
    par: (text: string) => (length ? readMeasure(text, 'length', units) : wholeNumber(text)),
    usesPerFill: wholeNumber,
    price: (text: string) => readPrice(text, currency),
    source: asText,
    acquiredOn: plainDay,
    openedOn: plainDay,
    tags: (text: string) => ({ ok: true, value: splitWords(text) }) as const,
    barcode: asText,
    size: (text: string) => readSize(text, units),
    massMg: (text: string) => readMeasure(text, 'mass', units),
  }) satisfies Partial<Record<keyof Facts, (text: string) => Read<unknown>>>;

/** Facts the form does not ask: they stay as they were. */
export function unaskedFacts(facts: Facts, preferences: Preferences): Facts {
  const asked = new Set(['attributes', ...Object.keys(readers(preferences, false))]);
  return Object.fromEntries(
    Object.entries(facts).filter(([name, value]) => !asked.has(name) && value !== undefined),
  );
}

/** Reads the facts and attributes of a form, or says field by field what is wrong. */
export function readFacts(
  kind: Kind,
  form: string,
  said: Said,
  preferences: Preferences,
): { ok: true; facts: Facts } | { ok: false; refusals: FormRefusal[] } {
  const refusals: FormRefusal[] = [];
  const attributes: Record<string, AttributeValue> = {};
  for (const attribute of attributesOf(kind, form)) {
    const text = said[`a_${attribute.id}`] ?? '';
    if (text.trim() === '') continue;
    const read = readAttribute(attribute, text, preferences.units);
    if (read.ok) attributes[attribute.id] = read.value;
    else refusals.push({ path: `said.a_${attribute.id}`, message: read.message });
  }
  const facts: Record<string, unknown> = { attributes: attributes satisfies Attributes };
  for (const [name, read] of Object.entries(readers(preferences, formOf(kind, form).counting === 'length'))) {
    const text = said[name] ?? '';
    if (text.trim() === '') continue;
    const reading: Read<unknown> = read(text);
    if (reading.ok) facts[name] = reading.value;
    else refusals.push({ path: `said.${name}`, message: reading.message });
  }
  return refusals.length > 0 ? { ok: false, refusals } : { ok: true, facts };
}

/** Facts as they would be typed. */
export function saidFacts(
  facts: Facts,
  units: Units,
  counting: FormDefinition['counting'],
): Record<string, string> {
  const { size } = facts;
  const sayAmount = (amount: number | undefined): string | undefined =>
    amount === undefined || counting !== 'length' ? amount?.toString() : sayLength(amount, units);
  const said: Record<string, string | undefined> = {
    status: facts.status,
    decideOn: facts.decideOn,
    grade: facts.grade,
    collection: facts.collection ? 'yes' : '',
    stays: facts.stays ? 'yes' : '',
    lidColour: facts.lidColour ? 'yes' : '',
    spares: facts.spares?.toString(),
    lowAt: sayAmount(facts.lowAt),
    par: sayAmount(facts.par),
    usesPerFill: facts.usesPerFill?.toString(),
    price: facts.price && sayPrice(facts.price),
    source: facts.source,
    acquiredOn: facts.acquiredOn,
    openedOn: facts.openedOn,
    tags: facts.tags?.join(', '),
    barcode: facts.barcode,
    size: size && [size.widthUm, size.heightUm, size.depthUm].map((um) => sayLength(um, units)).join(' × '),
    massMg: facts.massMg === undefined ? undefined : sayMass(facts.massMg, units),
  };
  return Object.fromEntries(Object.entries(said).flatMap(([key, text]) => (text ? [[key, text]] : [])));
}
