import { parseColour, type Family } from '@red-shelf/core';

/** One hue family of the demo room: CIE LCh anchors from light to dark, and invented words for its names. */
interface Ramp {
  readonly family: Family;
  /** [lightness, chroma, hue°] at the light and the dark end. */
  readonly from: readonly [number, number, number];
  readonly to: readonly [number, number, number];
  readonly words: readonly string[];
}

const RAMPS: readonly Ramp[] = [
  {
    family: 'red',
    from: [56, 54, 22],
    to: [28, 46, 30],
    words: ['Ember', 'Rowan', 'Kiln', 'Haw', 'Madder', 'Robin'],
  },
  {
    family: 'orange',
    from: [76, 52, 62],
    to: [56, 66, 58],
    words: ['Tiller', 'Lamp', 'Rust', 'Quince', 'Fox'],
  },
  {
    family: 'yellow',
    from: [91, 42, 92],
    to: [76, 62, 84],
    words: ['Gorse', 'Straw', 'Broom', 'Honey', 'Sallow'],
  },
  {
    family: 'green',
    from: [82, 36, 128],
    to: [30, 32, 148],
    words: ['Marsh', 'Fern', 'Willow', 'Moss', 'Sedge', 'Alder', 'Nettle'],
  },
  {
    family: 'teal',
    from: [80, 26, 192],
    to: [34, 28, 202],
    words: ['Harbour', 'Weir', 'Kelp', 'Sluice', 'Lagoon'],
  },
  {
    family: 'blue',
    from: [80, 24, 254],
    to: [24, 38, 276],
    words: ['Slate', 'Heron', 'Ferry', 'Anchor', 'Dusk', 'Gannet'],
  },
  {
    family: 'purple',
    from: [76, 28, 308],
    to: [26, 34, 312],
    words: ['Thistle', 'Heather', 'Sloe', 'Mussel', 'Vetch'],
  },
  {
    family: 'pink',
    from: [86, 24, 356],
    to: [60, 46, 364],
    words: ['Thrift', 'Shell', 'Campion', 'Dogrose', 'Coral'],
  },
  {
    family: 'brown',
    from: [62, 26, 66],
    to: [24, 20, 56],
    words: ['Peat', 'Plank', 'Cobnut', 'Saddle', 'Bark'],
  },
  {
    family: 'grey',
    from: [95, 2, 90],
    to: [9, 1, 270],
    words: ['Chalk', 'Pebble', 'Mist', 'Ash', 'Soot', 'Flint'],
  },
];
const ENDINGS = [
  'Latch',
  'Bell',
  'Door',
  'Rope',
  'Lantern',
  'Lock',
  'Sail',
  'Lane',
  'Gate',
  'Mill',
  'Paddle',
  'Bank',
  'Step',
  'Post',
  'Yard',
];

export interface DemoColour {
  readonly name: string;
  readonly hex: string;
}

/** `count` colours spread over all families, each with an invented two-word name of its own. */
export function demoColours(count: number, shift: number): DemoColour[] {
  const perRamp = RAMPS.map((_, r) => Math.floor(count / RAMPS.length) + (r < count % RAMPS.length ? 1 : 0));
  return RAMPS.flatMap((ramp, r) =>
    Array.from({ length: perRamp[r] ?? 0 }, (_, i): DemoColour => {
      const n = perRamp[r] ?? 1;
      const t = n === 1 ? 0.5 : (i + 0.15 * Math.sin(shift + i * 2.1)) / (n - 1);
      const mix = (axis: 0 | 1 | 2): number =>
        ramp.from[axis] + (ramp.to[axis] - ramp.from[axis]) * Math.min(1, Math.max(0, t));
      const colour = parseColour(`lch(${mix(0).toFixed(2)} ${mix(1).toFixed(2)} ${mix(2).toFixed(2)})`);
      if (!colour.ok) throw new Error('A demo colour is not a colour');
      const step = i * 4 + r + shift * 7;
      const word = ramp.words[(i + shift) % ramp.words.length] ?? 'Plain';
      return { name: `${word} ${ENDINGS[step % ENDINGS.length] ?? 'Lane'}`, hex: colour.hex };
    }),
  );
}
