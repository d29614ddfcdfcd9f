/** The colour families, the unit of rainbow order. Data only: opinions about colours live in family.ts. */

/** What a thing can be filed under; `none` is for what has no colour, such as a die. */
export const FAMILIES = [
  'red',
  'orange',
  'yellow',
  'green',
  'teal',
  'blue',
  'purple',
  'pink',
  'brown',
  'black',
  'grey',
  'white',
  'metallic',
  'clear',
  'multi',
  'none',
] as const;
export type Family = (typeof FAMILIES)[number];

/** Families as they stand together on a shelf: black, grey and white share one stretch, Neutral. */
export const FAMILY_GROUPS = [
  'red',
  'orange',
  'yellow',
  'green',
  'teal',
  'blue',
  'purple',
  'pink',
  'brown',
  'neutral',
  'metallic',
  'clear',
  'multi',
  'none',
] as const;
export type FamilyGroup = (typeof FAMILY_GROUPS)[number];

/** The stretches a shelf can have: the groups, and black, grey and white each on its own. */
export const STRETCHES = [...FAMILY_GROUPS, 'white', 'grey', 'black'] as const;
export type Stretch = (typeof STRETCHES)[number];

export interface FamilyGroupInfo {
  /** Word shown to people. */
  readonly name: string;
  /** Two letters printed on swatches and slots, so that colour never carries the meaning alone. */
  readonly mark: string;
  /** A typical colour of the family, for header dots and held slots. */
  readonly hex: string;
}

export const FAMILY_GROUP_INFO: Readonly<Record<Stretch, FamilyGroupInfo>> = {
  red: { name: 'Red', mark: 'Re', hex: '#c23b42' },
  orange: { name: 'Orange', mark: 'Or', hex: '#df7f33' },
  yellow: { name: 'Yellow', mark: 'Ye', hex: '#efcb57' },
  green: { name: 'Green', mark: 'Gr', hex: '#4f9a58' },
  teal: { name: 'Teal', mark: 'Te', hex: '#35979a' },
  blue: { name: 'Blue', mark: 'Bl', hex: '#3f74b8' },
  purple: { name: 'Purple', mark: 'Pu', hex: '#7d5aa6' },
  pink: { name: 'Pink', mark: 'Pk', hex: '#e284a8' },
  brown: { name: 'Brown', mark: 'Br', hex: '#7d5a41' },
  neutral: { name: 'Neutral', mark: 'Ne', hex: '#9a9a97' },
  metallic: { name: 'Metallic', mark: 'Me', hex: '#b3a06f' },
  clear: { name: 'Clear', mark: 'Cl', hex: '#e6ebec' },
  multi: { name: 'Multi', mark: 'Mu', hex: '#8d8a86' },
  none: { name: 'No colour', mark: '–', hex: '#c9c7c2' },
  white: { name: 'White', mark: 'Wh', hex: '#f4f2ec' },
  grey: { name: 'Grey', mark: 'Gy', hex: '#9a9a97' },
  black: { name: 'Black', mark: 'Bk', hex: '#1c1c1c' },
};

type Neutral = 'black' | 'grey' | 'white';
/** Whether a family, or a stretch, is one of those without a hue. */
export const isNeutral = (family: Family | Stretch): family is Neutral =>
  family === 'black' || family === 'grey' || family === 'white';

/** The group a family belongs to: its own, or Neutral. */
export const groupOf = (family: Family): FamilyGroup => (isNeutral(family) ? 'neutral' : family);

/** True for a word that names a family. */
export const isFamily = (word: string): word is Family => (FAMILIES as readonly string[]).includes(word);

/** Whether a thing has a colour that can be compared. */
export const hasColour = ({ family }: { readonly family: Family }): boolean => family !== 'none';
