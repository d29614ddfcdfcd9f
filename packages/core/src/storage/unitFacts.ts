import { z } from 'zod';
import { KINDS } from '../kinds/definition';
import { lineOf } from '../text/schema';
import { CARE_IDS, PLACE_MARKS } from './care';
import { MOST_COLUMNS, MOST_ROWS } from './models/gridSchema';

/** Where a unit stands in its life. A spare or retired one is off the wall and takes no supplies. */
export const STANDINGS = ['active', 'worn', 'spare', 'retired'] as const;
/** How far it is from the desk; `far` is deep storage, out of sight. */
export const REACHES = ['near', 'mid', 'far'] as const;

/** What keeps it from falling over. */
export const FIXINGS = ['wall', 'floor', 'door', 'nothing'] as const;
/** What must be done before one sees into it. */
export const OPENINGS = ['pulled out', 'door', 'lid'] as const;
/** How exactly a thing is put back there: in its spot, near its colours, or just in there. */
export const TOLERANCES = ['exact', 'family', 'anywhere'] as const;

/** Whether what is in it is to be seen from the room. */
export const FACES = ['show', 'hide'] as const;

const MOST_UM = 20_000_000;
const distance = (what: string) =>
  z
    .int(`${what} must be a measure, such as 1.20 m.`)
    .min(0, `${what} cannot be less than nothing.`)
    .max(MOST_UM, `${what} may be at most 20 m.`);
const outer = (what: string) => distance(what).min(5000, `${what} must be at least 5 mm.`);

/** Where it stands in what it stands in, µm; what nobody measured is left out. */
export const poseSchema = z.strictObject({
  /** The wall a piece stands against, where there are several. */
  wall: lineOf('The wall', 40).optional(),
  /** Its left side from the left end of the wall, or of what it stands in. */
  alongUm: distance('The place along the wall').optional(),
  /** Its foot above the floor, or above the bottom of what it stands in. */
  upUm: distance('The height above the floor').optional(),
});
export type Pose = z.infer<typeof poseSchema>;

const text = (most: number, what: string) => lineOf(what, most);

/** A cell of a grid, however large the grid gets; both from 0. */
const rowAndColumn = {
  row: z
    .int()
    .min(0)
    .max(MOST_ROWS - 1),
  column: z
    .int()
    .min(0)
    .max(MOST_COLUMNS - 1),
};

/** What a unit takes. */
export const unitRulesSchema = z.strictObject({
  /** Kinds it is made for; it takes no others. */
  kinds: z.array(z.enum(KINDS)).min(1, 'Say what it is made for: at least one kind.').max(KINDS.length),
  /** At most so many things; one more and one must leave. */
  cap: z
    .int('A limit must be a whole number.')
    .min(1, 'A limit is at least one thing.')
    .max(10_000, 'A limit is at most 10,000 things.')
    .optional(),
});
export type UnitRules = z.infer<typeof unitRulesSchema>;

/** What is known of a unit beyond its size. Everything is optional and left out when it says nothing. */
export const unitFactsSchema = z.strictObject({
  /** The template it was started from. */
  template: z.string().max(40).optional(),
  standing: z.enum(STANDINGS).optional(),
  /** Where a spare or retired one is kept. */
  keptAt: text(120, 'Where it is kept').optional(),
  reach: z.enum(REACHES).optional(),
  /** What it is like there; what stands in it is like that too. */
  marks: z.array(z.enum(PLACE_MARKS)).max(PLACE_MARKS.length).optional(),
  /** What was said about this place and is left so, with the person's reason. */
  accepted: z
    .array(z.strictObject({ rule: z.enum(CARE_IDS), because: text(200, 'The reason') }))
    .max(CARE_IDS.length)
    .optional(),
  pose: poseSchema.optional(),
  /** Outside size, where its insides do not say it. */
  outsideUm: z
    .strictObject({
      widthUm: outer('The outside width'),
      heightUm: outer('The outside height'),
      depthUm: outer('The outside depth'),
    })
    .optional(),
  fixedTo: z.enum(FIXINGS).optional(),
  /** What it may bear in all, as its maker says, mg. */
  bearsMg: z
    .int('A load must be a mass, such as 15 kg.')
    .min(1000, 'A load is at least 1 g.')
    .max(1_000_000_000, 'A load is at most a tonne.')
    .optional(),
  /** A tray that lies: its cells are seen from above, and its front is as high as they are deep. */
  lies: z.boolean().optional(),
  opens: z.enum(OPENINGS).optional(),
  /** One sits at it: what is at hand is at hand from here. */
  seat: z.boolean().optional(),
  /** Its maker sells it no longer: another one has to be found. */
  noLongerSold: z.boolean().optional(),
  /** It lies upon what else is in there, and is lifted first. */
  covers: z.boolean().optional(),
  /** Whether what is in it is to be seen from the room; what stands in it likewise. */
  face: z.enum(FACES).optional(),
  tolerance: z.enum(TOLERANCES).optional(),
  /** Arranging leaves it as it is: nothing is taken out, nothing comes in. */
  stays: z.boolean().optional(),
  /** Spots of it that arranging leaves as they are, by row and column from 0. */
  spotsStay: z
    .array(z.strictObject(rowAndColumn))
    .max(MOST_ROWS * MOST_COLUMNS)
    .optional(),
  /** The unit whose things it takes when that is full. */
  overflowOf: z.string().min(1).max(64).optional(),
  /** The person's own names for some of its spots, by row and column from 0, instead of their numbers. */
  spotNames: z
    .array(
      z.strictObject({
        ...rowAndColumn,
        name: text(24, 'The name of a place').min(1, 'Give the place a name.'),
      }),
    )
    .max(MOST_ROWS * MOST_COLUMNS)
    .refine((names) => new Set(names.map(({ name }) => name.toLowerCase())).size === names.length, {
      error: 'Two places of one unit cannot have the same name.',
    })
    .optional(),
  /** Pictures of it, also of closed doors, each with the day it was taken. */
  photos: z
    .array(
      z.strictObject({
        id: z.string().max(64),
        width: z.int().min(1).max(100_000),
        height: z.int().min(1).max(100_000),
        on: z.iso.date(),
      }),
    )
    .max(12, 'At most 12 photos.')
    .optional(),
  /** When labels were printed, and what they said: all of them (`labelPrint`) and each by its address (`labelPrints`). */
  labelled: z
    .object({
      on: z.iso.date(),
      print: z.string().max(64),
      each: z.record(z.string().max(40), z.string().max(8)).optional(),
    })
    .optional(),
});
export type UnitFacts = z.infer<typeof unitFactsSchema>;
