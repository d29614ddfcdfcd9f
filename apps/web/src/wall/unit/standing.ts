import { FACES, FIXINGS, OPENINGS, TOLERANCES, type UnitFacts } from '@red-shelf/core';
import { z } from 'zod';
import { readMeasure, sayLength, sayMass, type Units } from '../../copy/measure';

/** Where something stands and how one gets at it, as typed. */
export interface StandingSaid {
  readonly wall: string;
  readonly along: string;
  readonly up: string;
  readonly width: string;
  readonly height: string;
  readonly depth: string;
  readonly bears: string;
  readonly fixedTo: string;
  readonly opens: string;
  readonly tolerance: string;
  readonly face: string;
  readonly lies: boolean;
  readonly covers: boolean;
  readonly seat: boolean;
  readonly noLongerSold: boolean;
  readonly stays: boolean;
}
/** The facts that are said here. */
type Said = Pick<
  UnitFacts,
  | 'pose'
  | 'outsideUm'
  | 'bearsMg'
  | 'fixedTo'
  | 'opens'
  | 'tolerance'
  | 'face'
  | 'lies'
  | 'covers'
  | 'seat'
  | 'noLongerSold'
  | 'stays'
>;

const sayMeasure = (um: number | undefined, units: Units): string =>
  um === undefined ? '' : sayLength(um, units);

export const saidStanding = (facts: Said, units: Units): StandingSaid => ({
  wall: facts.pose?.wall ?? '',
  along: sayMeasure(facts.pose?.alongUm, units),
  up: sayMeasure(facts.pose?.upUm, units),
  width: sayMeasure(facts.outsideUm?.widthUm, units),
  height: sayMeasure(facts.outsideUm?.heightUm, units),
  depth: sayMeasure(facts.outsideUm?.depthUm, units),
  bears: facts.bearsMg === undefined ? '' : sayMass(facts.bearsMg, units),
  fixedTo: facts.fixedTo ?? '',
  opens: facts.opens ?? '',
  tolerance: facts.tolerance ?? '',
  face: facts.face ?? '',
  lies: facts.lies ?? false,
  covers: facts.covers ?? false,
  seat: facts.seat ?? false,
  noLongerSold: facts.noLongerSold ?? false,
  stays: facts.stays ?? false,
});

const oneOf = <T extends string>(options: readonly T[], word: string): T | undefined =>
  options.find((option) => option === word);

/** Reads it as said; a measure left empty is one nobody took. Of an outside size all three are needed, or none. */
export const standingSchema = (units: Units) =>
  z
    .object({
      wall: z.string().trim().max(40, 'The name of a wall has at most 40 letters.'),
      along: z.string(),
      up: z.string(),
      width: z.string(),
      height: z.string(),
      depth: z.string(),
      bears: z.string(),
      fixedTo: z.string(),
      opens: z.string(),
      tolerance: z.string(),
      face: z.string(),
      lies: z.boolean(),
      covers: z.boolean(),
      seat: z.boolean(),
      noLongerSold: z.boolean(),
      stays: z.boolean(),
    })
    .transform((said, ctx): Said => {
      const measure = (field: 'along' | 'up' | 'width' | 'height' | 'depth'): number | undefined => {
        if (said[field].trim() === '') return undefined;
        const read = readMeasure(said[field], 'length', units);
        if (read.ok && typeof read.value === 'number') return read.value;
        ctx.addIssue({ code: 'custom', path: [field], message: read.ok ? 'Give a length.' : read.message });
        return undefined;
      };
      const bears = said.bears.trim() === '' ? null : readMeasure(said.bears, 'mass', units);
      if (bears && !bears.ok) ctx.addIssue({ code: 'custom', path: ['bears'], message: bears.message });
      const bearsMg = bears?.ok && typeof bears.value === 'number' ? Math.round(bears.value) : undefined;
      const [alongUm, upUm] = [measure('along'), measure('up')];
      const [widthUm, heightUm, depthUm] = [measure('width'), measure('height'), measure('depth')];
      const some = [said.width, said.height, said.depth].some((text) => text.trim() !== '');
      const whole = widthUm !== undefined && heightUm !== undefined && depthUm !== undefined;
      if (some && !whole && ctx.issues.length === 0)
        ctx.addIssue({ code: 'custom', path: ['depth'], message: 'Give width, height and depth, or none.' });
      const fixedTo = oneOf(FIXINGS, said.fixedTo);
      const opens = oneOf(OPENINGS, said.opens);
      const tolerance = oneOf(TOLERANCES, said.tolerance);
      const face = oneOf(FACES, said.face);
      const pose = {
        ...(said.wall === '' ? {} : { wall: said.wall }),
        ...(alongUm === undefined ? {} : { alongUm }),
        ...(upUm === undefined ? {} : { upUm }),
      };
      return {
        ...(Object.keys(pose).length > 0 ? { pose } : {}),
        ...(whole ? { outsideUm: { widthUm, heightUm, depthUm } } : {}),
        ...(bearsMg === undefined ? {} : { bearsMg }),
        ...(fixedTo ? { fixedTo } : {}),
        ...(opens ? { opens } : {}),
        ...(tolerance ? { tolerance } : {}),
        ...(face ? { face } : {}),
        ...(said.lies ? { lies: true } : {}),
        ...(said.covers ? { covers: true } : {}),
        ...(said.seat ? { seat: true } : {}),
        ...(said.noLongerSold ? { noLongerSold: true } : {}),
        ...(said.stays ? { stays: true } : {}),
      };
    });

/** Facts without what is said here, to be said anew. */
export function withoutStanding(facts: UnitFacts): UnitFacts {
  const {
    pose,
    outsideUm,
    bearsMg,
    fixedTo,
    opens,
    tolerance,
    face,
    lies,
    covers,
    seat,
    noLongerSold,
    stays,
    ...rest
  } = facts;
  return rest;
}
