import { attributesOf } from '../kinds/registry';
import type { AttributeDefinition, AttributeValue } from '../kinds/attributes';
import { parseLength } from '../measure/length';
import { parseMass } from '../measure/mass';
import { parsePaperWeight, printPaperWeight } from '../measure/paperWeight';
import { parseVolume } from '../measure/volume';
import type { Facts } from '../stash/facts';
import { fold } from '../text/fold';
import type { Formed } from './supplyDraft';

/** Between answers; a word that holds one has a backslash before it. */
const escape = (text: string): string => text.replace(/[\\;]/g, (sign) => `\\${sign}`);
const answersIn = (text: string): string[] =>
  (text.match(/(?:\\.|[^\\;])+/g) ?? []).map((each) => each.replace(/\\(.)/g, '$1').trim()).filter(Boolean);

function print({ type }: AttributeDefinition, value: AttributeValue): string {
  if (typeof value === 'object') return printPaperWeight(value);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string' || type === 'number') return String(value);
  // Whole µm, mg and µl, so that nothing is rounded away.
  return `${value / 1000} ${type === 'length' ? 'mm' : type === 'mass' ? 'g' : 'ml'}`;
}

function parse({ type }: AttributeDefinition, text: string): AttributeValue | null {
  switch (type) {
    case 'length': {
      const length = parseLength(text);
      return length.ok ? length.um : null;
    }
    case 'mass':
    case 'volume': {
      const read = type === 'mass' ? parseMass(text) : parseVolume(text);
      return read.ok ? read.amount : null;
    }
    case 'paper': {
      const read = parsePaperWeight(text);
      return read.ok ? read.weight : null;
    }
    case 'number':
      return /^\d{1,9}$/.test(text) ? Number(text) : null;
    case 'flag':
      return fold(text) === 'yes';
    default:
      return text;
  }
}

/** A kind's own answers in one cell: `Chemistry: dye; Holds: 12 ml`. */
export const writeAnswers = ({ attributes = {} }: Facts, { kind, form }: Formed): string =>
  attributesOf(kind, form)
    .flatMap((attribute) => {
      const value = attributes[attribute.id];
      return value === undefined ? [] : [escape(`${attribute.name}: ${print(attribute, value)}`)];
    })
    .join('; ');

/** Reads them back; null where a question is not asked of the form, or its answer cannot be read. */
export function readAnswers(text: string, { kind, form }: Formed): Pick<Facts, 'attributes'> | null {
  const asked = attributesOf(kind, form);
  const attributes: Record<string, AttributeValue> = {};
  for (const answer of answersIn(text)) {
    const at = answer.indexOf(':');
    const attribute = asked.find(({ name }) => fold(name) === fold(answer.slice(0, at)));
    const value = attribute && at > 0 ? parse(attribute, answer.slice(at + 1).trim()) : null;
    if (!attribute || value === null) return null;
    attributes[attribute.id] = value;
  }
  return { attributes };
}
