import { z } from 'zod';
import { PAPER_BASES } from '../measure/paperWeight';
import type { AttributeDefinition, AttributeValue } from './attributes';
import { lineOf } from '../text/schema';
import type { Kind } from './definition';
import { attributesOf } from './registry';

const paperWeight = z.object({
  cgsm: z.int().min(0).max(200_000),
  basis: z.enum(PAPER_BASES).nullable(),
});

const MOST_TEXT = 200;
const whole = (name: string) =>
  z
    .number({ error: `${name} must be a number.` })
    .int(`${name} must be a whole number.`)
    .min(0, `${name} cannot be less than nothing.`)
    .max(1e12, `${name} is more than can be; check the number.`);

function valueSchema(attribute: AttributeDefinition): z.ZodType<AttributeValue> {
  const { name } = attribute;
  switch (attribute.type) {
    case 'choice':
      return z.enum([...attribute.options] as [string, ...string[]], {
        error: `${name} must be one of ${attribute.options.join(', ')}.`,
      });
    case 'text':
      return lineOf(name, MOST_TEXT);
    case 'flag':
      return z.boolean({ error: `${name} must be yes or no.` });
    case 'paper':
      return paperWeight;
    default:
      return whole(name);
  }
}

/** The schema of a kind's attributes: all optional, nothing that the kind does not know. */
const attributesSchema = (attributes: readonly AttributeDefinition[]) =>
  z.strictObject(Object.fromEntries(attributes.map((each) => [each.id, valueSchema(each).optional()])));

/** Checks a form's own attributes; made from the same data as its questions. */
export const attributesSchemaOf = (kind: Kind, formId: string) =>
  attributesSchema(attributesOf(kind, formId));
