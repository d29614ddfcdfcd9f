import {
  decimalsOf,
  parseLength,
  parseMass,
  parseMoney,
  parsePaperWeight,
  parseVolume,
  printLength,
  printMass,
  printMoney,
  printPaperWeight,
  printVolume,
  type AttributeDefinition,
  type AttributeValue,
  type Money,
} from '@red-shelf/core';

/** The person's way of measuring. */
export type Units = 'metric' | 'inches';

/** The paper people have who measure so. */
export const paperOf = ({ units }: { readonly units: Units }): 'a4' | 'letter' =>
  units === 'inches' ? 'letter' : 'a4';
type Reading<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };

const LIKE: Readonly<Record<'length' | 'mass' | 'volume' | 'paper', string>> = {
  length: 'a length such as 13 cm or 5 1/8 in',
  mass: 'a mass such as 14 g or 1/2 oz',
  volume: 'a volume such as 12 ml or 1/2 oz',
  paper: 'a paper weight such as 216 gsm or 110 lb cover',
};

/** Reads a measure as said, or gives a sentence saying what is wrong. */
export function readMeasure(
  text: string,
  type: 'length' | 'mass' | 'volume' | 'paper',
  units: Units,
): Reading<AttributeValue> {
  if (text.trim() === '') return { ok: false, message: `Write ${LIKE[type]}.` };
  const inches = units === 'inches';
  const read =
    type === 'paper'
      ? parsePaperWeight(text)
      : type === 'length'
        ? parseLength(text, inches ? 'in' : 'mm')
        : type === 'mass'
          ? parseMass(text, inches ? 'oz' : 'g')
          : parseVolume(text, inches ? 'fl oz' : 'ml');
  if (read.ok)
    return { ok: true, value: 'um' in read ? read.um : 'weight' in read ? read.weight : read.amount };
  const given = `“${read.given.slice(0, 40)}”`;
  const code: string = read.code;
  if (code === 'basis_missing')
    return {
      ok: false,
      message: `${given}: pounds of what? Write ${read.given} cover, index, text or bond; they differ by half and more.`,
    };
  if (code.endsWith('negative')) return { ok: false, message: `${given} is less than nothing.` };
  if (code === 'too_much' || code === 'length_too_long')
    return { ok: false, message: `${given} is more than can be; check the unit.` };
  return { ok: false, message: `${given} cannot be read; write ${LIKE[type]}.` };
}

/** Writes a length as a crafter does: inches with fractions, or mm, cm and m by size. */
export const sayLength = (um: number, units: Units): string => {
  if (units === 'inches') return um >= 914_400 * 3 ? printLength(um, 'yd') : printLength(um, 'in');
  return printLength(um, um >= 1_000_000 ? 'm' : um >= 100_000 ? 'cm' : 'mm');
};
export const sayMass = (mg: number, units: Units): string =>
  units === 'inches' ? printMass(mg, mg >= 453_592 ? 'lb' : 'oz') : printMass(mg, mg >= 1e6 ? 'kg' : 'g');

const FIGURES = 2;
/** A mass that was only estimated, in two figures. */
export const sayAboutMass = (mg: number, units: Units): string =>
  sayMass(Math.round(Number(mg.toPrecision(FIGURES))), units);

/** An attribute's value in words; null when it says nothing. */
export function sayAttribute(
  attribute: AttributeDefinition,
  value: AttributeValue | undefined,
  units: Units,
): string | null {
  if (value === undefined || value === '' || value === false) return null;
  if (value === true) return attribute.name.toLowerCase();
  if (typeof value === 'object') return printPaperWeight(value);
  if (typeof value === 'string') return value;
  switch (attribute.type) {
    case 'length':
      return sayLength(value, units);
    case 'mass':
      return sayMass(value, units);
    case 'volume':
      return printVolume(value, units === 'inches' ? 'fl oz' : 'ml');
    default:
      return String(value);
  }
}

/** Reads money typed in the person's currency: `4.50`, `4,50 EUR`, `450 JPY`. */
export function readPrice(text: string, currency: string): Reading<Money> {
  const value = parseMoney(text, currency);
  if (value) return { ok: true, value };
  const meant = (/\d\s*([A-Za-z]{3})$/.exec(text.trim())?.[1] ?? currency).toUpperCase();
  const example = decimalsOf(meant) === 0 ? '450' : '4.50';
  return {
    ok: false,
    message: `“${text.slice(0, 40)}” is not a price in ${meant}; write it like ${example}.`,
  };
}

export const sayPrice = printMoney;
