import {
  fillFromMass,
  formFor,
  RIBBON_THICKNESS_UM,
  ribbonFromMass,
  ribbonFromTurns,
  ribbonFromWound,
  sheetSizeOf,
  sheetsFromMass,
  sheetsFromStack,
  sheetsFromWeighed,
  USUAL_RIBBON_THICKNESS_UM,
  type Estimate,
} from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { sayLength, type Units } from '../copy/measure';

/** A way of counting without counting: what to measure, and what comes of it. */
export interface CountingWay {
  readonly id: string;
  readonly name: string;
  readonly inputs: readonly {
    readonly id: string;
    readonly label: string;
    readonly type: 'length' | 'mass' | 'number';
    readonly start: string;
  }[];
  /** Null where the figures contradict each other. */
  readonly work: (given: Readonly<Record<string, number>>) => CountingAnswer | null;
}
export interface CountingAnswer {
  /** "about 42 sheets (38–46)". */
  readonly words: string;
  readonly source: string;
  /** What to write into the ledger, in the form's unit. */
  readonly left: number;
  readonly note?: string;
}

const attribute = ({ facts }: SupplyView, id: string): number | undefined => {
  const value = facts.attributes?.[id];
  return typeof value === 'number' ? value : undefined;
};
const cgsmOf = ({ facts }: SupplyView): number | undefined => {
  const value = facts.attributes?.weight;
  return typeof value === 'object' ? value.cgsm : undefined;
};

const sheetsAnswer = (estimate: Estimate): CountingAnswer => ({
  words: `about ${estimate.value} sheets (${estimate.low}–${estimate.high})`,
  source: estimate.source,
  left: estimate.value,
});

function cardWays(supply: SupplyView): CountingWay[] {
  const cgsm = cgsmOf(supply);
  const { widthUm: width, heightUm: height } = sheetSizeOf(supply) ?? {};
  const ten = attribute(supply, 'tenMass');
  const mass = { id: 'mass', label: 'Mass of the pile', type: 'mass', start: '' } as const;
  return [
    ...(cgsm
      ? [
          {
            id: 'stack',
            name: 'Stack height',
            inputs: [{ id: 'height', label: 'Height, pressed by hand', type: 'length', start: '' } as const],
            work: ({ height: h = 0 }) => sheetsAnswer(sheetsFromStack(h, cgsm)),
          },
        ]
      : []),
    ...(cgsm && width && height
      ? [
          {
            id: 'mass',
            name: 'Weigh the pile',
            inputs: [mass],
            work: ({ mass: m = 0 }) => sheetsAnswer(sheetsFromMass(m, cgsm, width, height)),
          },
        ]
      : []),
    {
      id: 'ten',
      name: 'Weigh ten, then all',
      inputs: [
        { id: 'ten', label: 'Mass of ten sheets', type: 'mass', start: ten ? `${ten / 1000} g` : '' },
        mass,
      ],
      work: ({ ten: weighed = 0, mass: m = 0 }) =>
        weighed > 0 ? sheetsAnswer(sheetsFromWeighed(m, weighed, 10)) : null,
    },
  ];
}

function ribbonWays(supply: SupplyView, units: Units): CountingWay[] {
  const material = supply.facts.attributes?.material;
  const thickness =
    attribute(supply, 'thickness') ??
    (typeof material === 'string' ? RIBBON_THICKNESS_UM[material] : undefined) ??
    USUAL_RIBBON_THICKNESS_UM;
  const mm = (um: number): string => `${um / 1000} mm`;
  const thick = { id: 'thickness', label: 'Thickness', type: 'length', start: mm(thickness) } as const;
  const length = (um: number | undefined): string => (um ? mm(um) : '');
  const answer = (estimate: Estimate): CountingAnswer => ({
    words: `about ${sayLength(Math.round(estimate.value / 1e4) * 1e4, units)} (${sayLength(Math.round(estimate.low / 1e4) * 1e4, units)}–${sayLength(Math.round(estimate.high / 1e4) * 1e4, units)})`,
    source: estimate.source,
    left: Math.round(estimate.value),
  });
  const wound: CountingWay = {
    id: 'wound',
    name: 'Wound diameter',
    inputs: [
      { id: 'outer', label: 'Across the wound ribbon', type: 'length', start: '' },
      { id: 'core', label: 'Across the core', type: 'length', start: length(attribute(supply, 'spoolCore')) },
      thick,
    ],
    work: ({ outer = 0, core = 0, thickness: t = 0 }) =>
      outer >= core && t > 0 ? answer(ribbonFromWound(outer, core, t)) : null,
  };
  const turns: CountingWay = {
    id: 'turns',
    name: 'Turns on a card',
    inputs: [
      { id: 'turns', label: 'Turns', type: 'number', start: '' },
      {
        id: 'card',
        label: 'Card, along the winding',
        type: 'length',
        start: length(attribute(supply, 'cardWidth')),
      },
      thick,
    ],
    work: ({ turns: n = 0, card = 0, thickness: t = 0 }) => answer(ribbonFromTurns(n, card, 1_000, t)),
  };
  const mass: CountingWay = {
    id: 'mass',
    name: 'Weigh it',
    inputs: [
      { id: 'now', label: 'Mass now', type: 'mass', start: '' },
      {
        id: 'empty',
        label: 'Mass of the empty spool',
        type: 'mass',
        start: grams(attribute(supply, 'emptyMass')),
      },
      { id: 'metre', label: 'Mass of a metre', type: 'mass', start: grams(attribute(supply, 'metreMass')) },
    ],
    work: ({ now = 0, empty = 0, metre = 0 }) =>
      metre > 0 && now >= empty ? answer(ribbonFromMass(now, empty, metre)) : null,
  };
  return supply.form === 'card-wound' ? [turns, mass] : supply.form === 'spool' ? [wound, mass] : [mass];
}

const grams = (mg: number | undefined): string => (mg ? `${mg / 1000} g` : '');

function fillWays(supply: SupplyView): CountingWay[] {
  const perFill = formFor(supply).usesPerFill ?? 1;
  const ink =
    supply.form === 'alcohol-dual' || supply.facts.attributes?.chemistry === 'alcohol' ? 'alcohol' : 'water';
  return [
    {
      id: 'fill',
      name: 'Weigh it',
      inputs: [
        { id: 'now', label: 'Mass now', type: 'mass', start: '' },
        { id: 'empty', label: 'Mass empty', type: 'mass', start: grams(attribute(supply, 'emptyMass')) },
        { id: 'full', label: 'Mass full', type: 'mass', start: grams(attribute(supply, 'fullMass')) },
      ],
      work: ({ now = 0, empty = 0, full = 0 }) => {
        const fill = fillFromMass(now, empty, full, ink);
        if (!fill) return null;
        const percent = (share: number): number => Math.round(100 * share);
        const ml = (ul: number): string => (ul / 1000).toFixed(1);
        const { share, leftUl, mayAddUl } = fill;
        const others = Math.max(0, supply.stock.items - 1) * perFill;
        return {
          words: `${percent(share.value)}% full (${percent(share.low)}–${percent(share.high)}%), about ${ml(leftUl.value)} ml left (${ml(leftUl.low)}–${ml(leftUl.high)})`,
          source: leftUl.source,
          left: others + Math.round(share.value * perFill),
          note: `Up to ${ml(mayAddUl)} ml may be added before it overfills.`,
        };
      },
    },
  ];
}

/** The ways this supply can be counted by measuring it; empty where it is simply counted. */
export function countingWays(supply: SupplyView, units: Units): CountingWay[] {
  switch (supply.kind) {
    case 'cardstock':
      return cardWays(supply);
    case 'ribbon':
      return ribbonWays(supply, units);
    case 'marker':
      return supply.form === 'pencil' ? [] : fillWays(supply);
    case 'ink':
      return ['refill', 'spray', 'drops'].includes(supply.form) ? fillWays(supply) : [];
    default:
      return [];
  }
}
