import { z } from 'zod';
import { PAPER_BASES } from '../measure/paperWeight';

/** What a kind wants to know beyond name, colour and count, as data; forms and checks are made from it. */
interface Common {
  readonly id: string;
  /** The question, as a label. */
  readonly name: string;
  /** Asked on the add screen at once (`first`), or folded away (`more`). */
  readonly ask: 'first' | 'more';
  /** Only these forms are asked; all when left out. */
  readonly forms?: readonly string[];
}
interface Choice extends Common {
  readonly type: 'choice';
  readonly options: readonly string[];
  readonly start?: string;
}
interface Measure extends Common {
  /** Stored as whole µm, mg or µl; typed as said. */
  readonly type: 'length' | 'mass' | 'volume';
  /** Shown as an example under the field. */
  readonly like: string;
}
interface Plain extends Common {
  readonly type: 'text' | 'number' | 'flag';
}
interface Paper extends Common {
  readonly type: 'paper';
}
export type AttributeDefinition = Choice | Measure | Plain | Paper;

const paperWeight = z.object({
  cgsm: z.int().min(0).max(200_000),
  basis: z.enum(PAPER_BASES).nullable(),
});
export type AttributeValue = string | number | boolean | z.infer<typeof paperWeight>;
export type Attributes = Readonly<Record<string, AttributeValue>>;

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
      return z.string().trim().max(MOST_TEXT, `${name} may have at most ${MOST_TEXT} characters.`);
    case 'flag':
      return z.boolean({ error: `${name} must be yes or no.` });
    case 'paper':
      return paperWeight;
    default:
      return whole(name);
  }
}

/** The schema of a kind's attributes: all optional, nothing that the kind does not know. */
export const attributesSchema = (attributes: readonly AttributeDefinition[]) =>
  z.strictObject(Object.fromEntries(attributes.map((each) => [each.id, valueSchema(each).optional()])));

const choice = (
  id: string,
  name: string,
  options: string,
  more: Partial<Pick<Choice, 'ask' | 'forms' | 'start'>> = {},
): Choice => ({ type: 'choice', id, name, options: options.split('|'), ask: 'more', ...more });
const measure =
  (type: Measure['type']) =>
  (id: string, name: string, like: string, more: Partial<Pick<Measure, 'ask' | 'forms'>> = {}): Measure => ({
    type,
    id,
    name,
    like,
    ask: 'more',
    ...more,
  });
const plain =
  (type: Plain['type']) =>
  (id: string, name: string, more: Partial<Pick<Plain, 'ask' | 'forms'>> = {}): Plain => ({
    type,
    id,
    name,
    ask: 'more',
    ...more,
  });

/** Short ways to write attributes down in a kind's file. */
export const ask = {
  choice,
  length: measure('length'),
  mass: measure('mass'),
  volume: measure('volume'),
  text: plain('text'),
  number: plain('number'),
  flag: plain('flag'),
  paper: (id: string, name: string, more: Partial<Pick<Paper, 'ask' | 'forms'>> = {}): Paper => ({
    type: 'paper',
    id,
    name,
    ask: 'more',
    ...more,
  }),
};
