import { formOf } from '../kinds/registry';
import type { Kind, Trait } from '../kinds/definition';
import type { Supply } from '../stash/supply';
import { hazardsOf, type Hazard } from '../stash/hazards';

/** What a place is like, as a person sees it; what a piece is like, what stands in it is like too. */
export const PLACE_MARKS = ['sun', 'bare wood', 'damp', 'heat', 'child', 'high', 'loose', 'glass'] as const;
export type PlaceMark = (typeof PLACE_MARKS)[number];
/**
 * What a place is like: what was ticked, and what goes with how it holds things, how one sees into it and what stands above and
 * below. In a heap nothing keeps standing or lying; in a pile things lie on one another.
 */
export type PlaceSign =
  | PlaceMark
  | 'heap'
  | 'pile'
  | 'long rod'
  | 'open'
  | 'hidden'
  | 'to show'
  | 'to hide'
  | 'over paper'
  | 'under liquids'
  /** Hidden, and nothing in it is written down. */
  | 'unrecorded'
  /** More than twice as deep as what is known to stand in it. */
  | 'deep';

type Cared = Pick<Supply, 'kind' | 'form' | 'facts'>;

/** What a place does to a thing that is in it. */
interface CareRule {
  /** What the place is like, all of it at once. */
  readonly where: readonly PlaceSign[];
  /** Whether a thing suffers there, or somebody from it; `massMg` is of the lot. */
  readonly harms: (thing: Cared, massMg: number) => boolean;
  /** How sure that is: known to those who keep such things, or usual, with exceptions. */
  readonly sure: 'known' | 'usual';
  /** Where it is written down. */
  readonly source?: string;
}

const has =
  (trait: Trait) =>
  ({ kind, form }: Cared): boolean =>
    formOf(kind, form).traits?.includes(trait) ?? false;
const isAny =
  (...hazards: readonly Hazard[]) =>
  (thing: Cared): boolean =>
    hazardsOf(thing).some((hazard) => hazards.includes(hazard));
const wants =
  (...ways: readonly string[]) =>
  ({ kind, form }: Cared): boolean =>
    ways.includes(formOf(kind, form).orientation?.wants ?? 'any');
const PAPERS: ReadonlySet<Kind> = new Set(['cardstock', 'sticker']);
const isPaper = ({ kind }: Cared): boolean => PAPERS.has(kind);
const OF_STEEL: ReadonlySet<string> = new Set(['die', 'punch', 'tool']);
/** More than this is not lifted from above the shoulder with one hand. */
const HEAVY_MG = 2_000_000;

/** Rules as data: another one is another line. */
const CARE_RULES = {
  'sun fades': { where: ['sun'], harms: has('fades'), sure: 'known', source: 'ISO 11799, light' },
  'wood yellows': {
    where: ['bare wood'],
    harms: isPaper,
    sure: 'known',
    source: 'NEDCC Preservation Leaflet 4.2, Storage Furniture',
  },
  'damp curls': { where: ['damp'], harms: isPaper, sure: 'known', source: 'ISO 11799, climate' },
  'damp rusts': { where: ['damp'], harms: ({ form }) => OF_STEEL.has(form), sure: 'known' },
  'heat and fumes': { where: ['heat'], harms: isAny('solvent'), sure: 'known' },
  'heat melts': { where: ['heat'], harms: ({ kind }) => kind === 'sticker', sure: 'usual' },
  'child finds': { where: ['child'], harms: isAny('blade', 'small', 'solvent'), sure: 'known' },
  'heavy and high': { where: ['high'], harms: (_, massMg) => massMg > HEAVY_MG, sure: 'known' },
  'bottle lies': {
    where: ['heap'],
    harms: (thing) => wants('upright')(thing) && has('leaks')(thing),
    sure: 'known',
  },
  'pad tilts': {
    where: ['heap'],
    harms: (thing) => thing.kind === 'ink' && wants('flat')(thing),
    sure: 'usual',
  },
  'marker stands': { where: ['heap'], harms: wants('level'), sure: 'usual' },
  'paper lies': {
    where: ['pile'],
    harms: (thing) => isPaper(thing) && wants('upright')(thing),
    sure: 'usual',
  },
  'liquid above paper': { where: ['over paper'], harms: has('leaks'), sure: 'usual' },
  'paper below liquid': { where: ['under liquids'], harms: isPaper, sure: 'usual' },
  'glass high': { where: ['glass', 'high'], harms: () => true, sure: 'known' },
  'rod sags': { where: ['long rod'], harms: () => true, sure: 'usual' },
  'hidden, to be seen': { where: ['hidden', 'to show'], harms: () => true, sure: 'known' },
  'seen, to be hidden': { where: ['open', 'to hide'], harms: () => true, sure: 'known' },
  'nothing known': { where: ['unrecorded'], harms: () => false, sure: 'known' },
  'nothing known behind': { where: ['deep'], harms: () => false, sure: 'usual' },
  'falls over': { where: ['loose'], harms: (_, massMg) => massMg > HEAVY_MG, sure: 'usual' },
} as const satisfies Readonly<Record<string, CareRule>>;

export type CareId = keyof typeof CARE_RULES;
export const CARE_IDS = Object.keys(CARE_RULES) as [CareId, ...CareId[]];

/** How sure a rule is, and where it is written down. */
export const careRule = (id: CareId): Pick<CareRule, 'sure' | 'source'> => CARE_RULES[id];

/** What places with these marks do to a thing, or let it do; `massMg` is what the lot weighs. */
export const careFor = (thing: Cared, marks: ReadonlySet<PlaceSign>, massMg: number): readonly CareId[] =>
  CARE_IDS.filter((id) => {
    const { where, harms }: CareRule = CARE_RULES[id];
    return where.every((sign) => marks.has(sign)) && harms(thing, massMg);
  });

const OF_PLACE = ['nothing known', 'nothing known behind'] as const satisfies readonly CareId[];

/** What is said of a place itself, whatever is in it. */
export const careOfPlace = (marks: ReadonlySet<PlaceSign>): readonly CareId[] =>
  OF_PLACE.filter((id) => CARE_RULES[id].where.every((sign) => marks.has(sign)));

/** What leaks onto what lies below, and what suffers from that. */
export const isLiquid = has('leaks');
export const isOfPaper = isPaper;
