import { parseColour } from '../colour/parse';
import { formOf } from '../kinds/registry';
import { parseLength } from '../measure/length';
import { parseMass } from '../measure/mass';
import { parseMoney, printMoney } from '../measure/money';
import { parseSize } from '../measure/size';
import type { Facts } from '../stash/facts';
import { fold } from '../text/fold';
import { readAnswers, writeAnswers } from './answersCell';
import type { Formed } from './supplyDraft';
import { readSwatches, writeSwatches } from './swatchesCell';

/** A fact as a column of a list: how it is written, and read back; null for what cannot be read. */
export interface FactColumn {
  readonly name: string;
  /** The facts it says. */
  readonly keys: readonly (keyof Facts)[];
  /** Other headings it is known by. */
  readonly headings: readonly string[];
  readonly write: (facts: Facts, of: Formed) => string;
  readonly read: (text: string, of: Formed) => Partial<Facts> | null;
}
const parts = (text: string, between: RegExp): string[] =>
  text
    .split(between)
    .map((part) => part.trim())
    .filter(Boolean);
/** A part that holds what parts are told apart by is written in quotes, a quote in it twice, as CSV does. */
const quoted = (part: string): string => (/[,;|"]/.test(part) ? `"${part.replace(/"/g, '""')}"` : part);
const QUOTED_PART = /"((?:[^"]|"")*)"|[^,;|]+/g;
const partsQuoted = (text: string): string[] =>
  [...text.matchAll(QUOTED_PART)]
    .map(([part, inside]) => (inside === undefined ? part : inside.replace(/""/g, '"')).trim())
    .filter(Boolean);
const yes = (text: string): boolean => /^(yes|y|x|1|true)$/i.test(text);
const whole = (text: string): number | null => (/^\d{1,9}$/.test(text) ? Number(text) : null);
const keep = <K extends keyof Facts>(key: K, value: Facts[K] | null): Partial<Facts> | null =>
  value === null ? null : { [key]: value };
const mm = (um: number): string => `${um / 1000} mm`;
const isLength = ({ kind, form }: Formed): boolean => formOf(kind, form).counting === 'length';

/** A fact that is a word or a day: written as it is, and checked where it is kept. */
const plain = <
  K extends
    'condition' | 'decideOn' | 'grade' | 'whyUnused' | 'source' | 'acquiredOn' | 'openedOn' | 'barcode',
>(
  key: K,
  name: string,
  headings: readonly string[] = [],
): FactColumn => ({
  name,
  keys: [key],
  headings,
  write: (facts) => facts[key] ?? '',
  read: (text) => ({ [key]: text }),
});
const money = (key: 'price' | 'asking', name: string, headings: readonly string[] = []): FactColumn => ({
  name,
  keys: [key],
  headings,
  write: ({ [key]: said }) => (said ? printMoney(said) : ''),
  read: (text, { currency = 'EUR' }) => keep(key, parseMoney(text, currency)),
});
const flag = (key: 'collection' | 'lidColour' | 'packaging' | 'stays', name: string): FactColumn => ({
  name,
  keys: [key],
  headings: [],
  write: (facts) => (facts[key] ? 'yes' : ''),
  read: (text) => ({ [key]: yes(text) }),
});
const number = (key: 'spares' | 'usesPerFill', name: string): FactColumn => ({
  name,
  keys: [key],
  headings: [],
  write: (facts) => facts[key]?.toString() ?? '',
  read: (text) => keep(key, whole(text)),
});

/** An amount in the unit of the thing: a length where it is one, else a whole number. */
const amount = (key: 'lowAt' | 'par', name: string): FactColumn => ({
  name,
  keys: [key],
  headings: [],
  write: ({ [key]: said }, of) => (said === undefined ? '' : isLength(of) ? mm(said) : String(said)),
  read: (text, of) => {
    if (!isLength(of)) return keep(key, whole(text));
    const length = parseLength(text);
    return length.ok ? { [key]: length.um } : null;
  },
});

/** Every fact a list can say, by the name of its column. */
export const FACT_COLUMNS = {
  tags: {
    name: 'Tags',
    keys: ['tags'],
    headings: ['tag', 'keywords', 'labels'],
    write: ({ tags = [] }) => tags.map(quoted).join(', '),
    read: (text) => ({ tags: [...new Set(partsQuoted(text))] }),
  },
  standing: {
    name: 'Standing',
    keys: ['status'],
    headings: ['status', 'availability'],
    // The usual standing need not be said.
    write: ({ status = 'current' }) => (status === 'current' ? '' : status),
    read: (text) => ({ status: fold(text) as NonNullable<Facts['status']> }),
  },
  decideBy: plain('decideOn', 'Decide by'),
  grade: plain('grade', 'Good for'),
  collection: flag('collection', 'Leave in peace'),
  stays: flag('stays', 'Leave where it is'),
  whyUnused: plain('whyUnused', 'Why never used'),
  spares: number('spares', 'Spares meant'),
  usesPerFill: number('usesPerFill', 'Uses when full'),
  lowAt: amount('lowAt', 'Low at'),
  par: amount('par', 'Buy up to'),
  price: money('price', 'Price', ['cost', 'paid']),
  condition: plain('condition', 'Condition'),
  packaging: flag('packaging', 'With its packaging'),
  asking: money('asking', 'Asked for it'),
  source: plain('source', 'From', ['source', 'shop', 'store']),
  acquired: plain('acquiredOn', 'Acquired', ['bought', 'bought on', 'purchase date', 'date']),
  opened: plain('openedOn', 'Opened'),
  barcode: plain('barcode', 'Barcode', ['ean', 'upc', 'gtin']),
  size: {
    name: 'Outside size',
    keys: ['size'],
    headings: ['dimensions'],
    write: ({ size }) => (size ? [size.widthUm, size.heightUm, size.depthUm].map(mm).join(' × ') : ''),
    read: (text) => {
      const size = parseSize(text, 3);
      const [widthUm = 0, heightUm = 0, depthUm = 0] = size.ok ? size.um : [];
      return size.ok ? { size: { widthUm, heightUm, depthUm } } : null;
    },
  },
  mass: {
    name: 'Mass of one',
    keys: ['massMg'],
    headings: ['weight of one'],
    write: ({ massMg }) => (massMg === undefined ? '' : `${massMg / 1000} g`),
    read: (text) => {
      const mass = parseMass(text);
      return mass.ok ? { massMg: mass.amount } : null;
    },
  },
  lidColour: flag('lidColour', 'Colour of the lid only'),
  otherColours: {
    name: 'Other colours',
    keys: ['otherHexes'],
    headings: ['second colour', 'second color', 'other colors'],
    write: ({ otherHexes = [] }) => otherHexes.join(', '),
    read: (text) => {
      const read = parts(text, /[,;|]/).map((each) => parseColour(each));
      return read.every((each) => each.ok)
        ? { otherHexes: read.flatMap((each) => (each.ok ? each.hex : [])) }
        : null;
    },
  },
  swatches: {
    name: 'Swatches',
    keys: ['swatches', 'trueSwatch'],
    headings: [],
    write: writeSwatches,
    read: readSwatches,
  },
  asleep: {
    name: 'Asleep',
    keys: ['dormant'],
    headings: [],
    write: ({ dormant }) => (dormant ? `${dormant.purpose} until ${dormant.wakeOn}` : ''),
    read: (text) => {
      const found = /^(.+) until (\S+)$/.exec(text);
      return found ? { dormant: { purpose: found[1] ?? '', wakeOn: found[2] ?? '' } } : null;
    },
  },
  answers: {
    name: 'Answers',
    keys: ['attributes'],
    headings: ['details'],
    write: writeAnswers,
    read: readAnswers,
  },
} as const satisfies Record<string, FactColumn>;
export type FactField = keyof typeof FACT_COLUMNS;
