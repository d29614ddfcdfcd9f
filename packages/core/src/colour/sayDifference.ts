import { ciede2000, chromaOf, hueOf, labOf } from './lab';

/** Two colours side by side, as a person would put it. */
export interface SaidDifference {
  readonly deltaE: number;
  /** `same` – nobody tells them apart on paper; `close` – side by side only; `near`; `far`. */
  readonly step: 'same' | 'close' | 'near' | 'far';
  readonly words: string;
}

/** About one CIEDE2000 is just noticeable side by side; card to card 2 still passes for the same. */
const SAME = 1.2;
const CLOSE = 3;
const NEAR = 8;
/** Below this chroma a hue cannot be named. */
const COLOURLESS = 8;

const NEIGHBOURS: readonly [fromDegrees: number, towards: string][] = [
  [0, 'pinker'],
  [20, 'redder'],
  [55, 'more orange'],
  [80, 'yellower'],
  [115, 'greener'],
  [180, 'more teal'],
  [225, 'bluer'],
  [300, 'more purple'],
  [340, 'pinker'],
];
const towards = (hue: number): string =>
  [...NEIGHBOURS].reverse().find(([from]) => hue >= from)?.[1] ?? 'pinker';

/**
 * Says how `other` differs from `wanted`: "you could not tell them apart", "a shade lighter",
 * "clearly darker and greener". Distances are CIEDE2000. Throws NotAColourError.
 */
export function sayDifference(wanted: string, other: string): SaidDifference {
  const a = labOf(wanted);
  const b = labOf(other);
  const deltaE = ciede2000(a, b);
  if (deltaE <= SAME) return { deltaE, step: 'same', words: 'you could not tell them apart' };
  const step = deltaE <= CLOSE ? 'close' : deltaE <= NEAR ? 'near' : 'far';
  const how = { close: 'a shade', near: 'a little', far: 'clearly' }[step];
  const lightness = b.l - a.l;
  const chroma = chromaOf(b) - chromaOf(a);
  const turn = ((hueOf(b) - hueOf(a) + 540) % 360) - 180;
  const hueStep = Math.min(chromaOf(a), chromaOf(b)) * 2 * Math.abs(Math.sin((turn * Math.PI) / 360));
  const parts = [
    { size: Math.abs(lightness), word: lightness > 0 ? 'lighter' : 'darker' },
    { size: 0.7 * Math.abs(chroma), word: chroma > 0 ? 'brighter' : 'more muted' },
    { size: chromaOf(b) < COLOURLESS ? 0 : hueStep, word: towards(hueOf(b)) },
  ].sort((p, q) => q.size - p.size);
  const [first, second] = parts;
  const words = [first, second && first && second.size > 0.6 * first.size ? second : undefined]
    .flatMap((part) => (part ? [part.word] : []))
    .join(' and ');
  return { deltaE, step, words: `${how} ${words}` };
}
