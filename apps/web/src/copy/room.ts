import type {
  Busy,
  Estimate,
  FACES,
  FIXINGS,
  GapFill,
  GetIn,
  Load,
  OPENINGS,
  PocketFit,
  TOLERANCES,
  WayStep,
} from '@red-shelf/core';
import { sayAboutMass, sayLength, type Units } from './measure';
import { listOf, many } from './words';

export const FIXING_WORDS: Readonly<Record<(typeof FIXINGS)[number], string>> = {
  wall: 'the wall',
  floor: 'the floor',
  door: 'a door',
  nothing: 'nothing',
};
export const OPENING_WORDS: Readonly<Record<(typeof OPENINGS)[number], string>> = {
  'pulled out': 'pull it out',
  door: 'open a door',
  lid: 'lift a lid',
};
export const FACE_WORDS: Readonly<Record<(typeof FACES)[number], string>> = {
  show: 'to be seen',
  hide: 'not to be seen',
};
export const TOLERANCE_WORDS: Readonly<Record<(typeof TOLERANCES)[number], string>> = {
  exact: 'exactly where they were',
  family: 'anywhere in their family',
  anywhere: 'anywhere in here',
};
/** How exactly something is put back, as a sentence. */
export const sayTolerance = (tolerance: (typeof TOLERANCES)[number]): string =>
  `It goes back ${TOLERANCE_WORDS[tolerance].replace('they were', 'it was').replace('their', 'its')}.`;

const ORDINALS = [
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
];
const nth = (n: number): string => ORDINALS[n - 1] ?? `${n}th`;

function sayStep(step: WayStep, level: number): string {
  switch (step.do) {
    case 'go to':
      // Furniture is known by its name; of several drawers one counts.
      return level > 0 && step.of > 2 ? `${step.name} (the ${nth(step.nth)} of ${step.of})` : step.name;
    case 'open':
      return OPENING_WORDS[step.how];
    case 'lift':
      return `lift ${step.name}`;
  }
}

/** The way to something: "Drawer tower, Ribbon drawer (the third of 5), pull it out, lift Upper tray". Nothing where it hangs in sight. */
export const sayWay = (way: readonly WayStep[]): string =>
  way.length < 2 ? '' : way.map(sayStep).join(', ');

/** "Your spare Narrow pad rack", "3 × Pad rack". */
export const sayGapFill = ({ take }: GapFill): string =>
  listOf(
    take.map(({ unit, spare, count }) =>
      spare ? `Your spare ${unit.name}` : count > 1 ? `${count} × ${unit.name}` : unit.name,
    ),
  );

/** What is won and what is left: "180 places · fills 74% · 4 cm left above". */
export const sayGapLeft = ({ places, plan }: GapFill, units: Units): string =>
  [
    places === null ? null : many(places, 'place'),
    `fills ${Math.round(100 * plan.usedShare)}%`,
    plan.leftUm.heightUm > 0 ? `${sayLength(plan.leftUm.heightUm, units)} left above` : null,
    plan.leftUm.depthUm > 0 ? `${sayLength(plan.leftUm.depthUm, units)} behind` : null,
    plan.best ? null : 'there may be a better way',
  ]
    .filter(Boolean)
    .join(' · ');

export const sayUses = (uses: number): string => (uses === 0 ? 'never used' : `used ${uses} times`);

/** How a place is reached, on its tint: nothing where it is at hand. */
export const REACH_SIGN = { near: '', mid: 'a step away', far: 'far' } as const;

/** What of a place is used most and what never was, on its tint. */
export const sayBusy = ({ most, never }: Busy): string[] => [
  ...(most > 0 ? [`${most} of the most used`] : []),
  ...(never > 0 ? [`${never} never used`] : []),
];

/** What stands on something, against what it may bear; without racks and boxes, whose mass nobody knows. */
export function sayLoad(load: Load, units: Units): string {
  const there = `Things of about ${sayAboutMass(load.massMg, units)}, without what they stand in`;
  switch (load.state) {
    case 'ask':
      return `${there}. What it may bear stands in its maker’s papers; say it here, and it is watched.`;
    case 'borne':
      return `${there}: about ${sayAboutMass(load.leftMg, units)} less than it may bear.`;
    case 'overloaded':
      return `${there}: about ${sayAboutMass(load.overMg, units)} more than it may bear. Take some elsewhere, the heaviest first.`;
  }
}

/** How many more of the same would find room and where, how many are spare, and whether more can be bought. */
export function sayMoreLike(
  room: readonly { readonly name: string; readonly count: number }[],
  spare: number,
  noLongerSold: boolean,
): string {
  const total = room.reduce((sum, { count }) => sum + count, 0);
  const where = room.map(({ name, count }) => `${count} in ${name}`);
  return [
    total > 0 ? `${many(total, 'more like it finds', 'more like it find')} room: ${listOf(where)}.` : '',
    spare > 0 ? `${many(spare, 'of its sort is', 'of its sort are')} spare.` : '',
    noLongerSold
      ? `It is no longer sold${total > spare ? `: ${many(total - spare, 'more')} would have to be found while they can be` : ''}.`
      : '',
  ]
    .filter(Boolean)
    .join(' ');
}

const SIDES = { too_wide: 'wide', too_high: 'high', too_deep: 'deep' } as const;

/** Why a unit does not go into what it is to stand in. */
export function sayNest(name: string, { because, refusals }: Extract<GetIn, { ok: false }>): string {
  const over = listOf(
    refusals.map(
      ({ code, needUm, haveUm }) => `${Math.ceil((needUm - haveUm) / 1000)} mm too ${SIDES[code]}`,
    ),
  );
  return because === 'too_large'
    ? `It does not go into ${name} as measured: ${over}.`
    : `It would stand in ${name}, but does not go in through its opening: ${over}.`;
}

/** What is cut off a sheet before it goes into a pocket. */
export function sayTrim({ trimUm }: PocketFit, units: Units): string {
  const off = [
    ...(trimUm.widthUm > 0 ? [`${sayLength(trimUm.widthUm, units)} off its width`] : []),
    ...(trimUm.heightUm > 0 ? [`${sayLength(trimUm.heightUm, units)} off its height`] : []),
  ];
  return `With ${listOf(off)} cut away it goes in. Look first at what is printed there.`;
}

/** How far a rod has to stand from the wall for what hangs there to turn. */
export const sayProjection = (um: number, units: Units): string =>
  ` For the largest spool to turn freely its middle stands ${sayLength(um, units)} from the wall.`;

/** How far a rod sags under what hangs there, of wood and of steel, and whether it wants a brace. */
export function saySag(wood: Estimate, steel: Estimate, brace: boolean, units: Units): string {
  const mm = (um: number): string =>
    um < 500 ? 'not to be seen' : sayLength(Math.round(um / 500) * 500, units);
  const wants = brace ? ' Brace it in the middle: a sixteenth of that is left.' : '';
  return `Under what hangs there a wooden rod sags ${mm(wood.low)}${wood.value >= 500 ? ` to ${mm(wood.high)}` : ''}, one of steel ${mm(steel.value)}.${wants}`;
}
