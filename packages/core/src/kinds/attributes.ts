import type { PaperWeight } from '../measure/paperWeight';

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
  /** Shown as an example under the field. */
  readonly like?: string;
}
interface Paper extends Common {
  readonly type: 'paper';
}
export type AttributeDefinition = Choice | Measure | Plain | Paper;

export type AttributeValue = string | number | boolean | PaperWeight;
export type Attributes = Readonly<Record<string, AttributeValue>>;

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
  (id: string, name: string, more: Partial<Pick<Plain, 'ask' | 'forms' | 'like'>> = {}): Plain => ({
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
