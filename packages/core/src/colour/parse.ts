import { beginningOf } from '../text/clean';
import { fold } from '../text/fold';
import plainColours from './plainColours.json';
import {
  displayable,
  formatHex,
  modeA98,
  modeHsl,
  modeHwb,
  modeLab,
  modeLch,
  modeLrgb,
  modeOklab,
  modeOklch,
  modeP3,
  modeProphoto,
  modeRec2020,
  modeRgb,
  modeXyz50,
  modeXyz65,
  parse,
  toGamut,
  useMode,
} from 'culori/fn';

/** Why a text is not a colour. */
export interface ColourRefusal {
  readonly ok: false;
  readonly code: 'colour_missing' | 'colour_unknown' | 'colour_see_through';
  readonly given: string;
}
export interface ParsedColour {
  readonly ok: true;
  /** Lower-case `#rrggbb`, sRGB. */
  readonly hex: string;
}

/** Every way to write a colour that CSS knows (CSS Color Module Level 4). */
const WAYS = [
  ...[modeRgb, modeHsl, modeHwb, modeLab, modeLch, modeOklab, modeOklch, modeLrgb],
  ...[modeA98, modeP3, modeProphoto, modeRec2020, modeXyz50, modeXyz65],
] as const;
for (const way of WAYS) useMode(way);

const BARE_HEX = /^(?:[0-9a-f]{3}|[0-9a-f]{6})$/i;
const MOST_CHARACTERS = 100;
const intoSrgb = toGamut('rgb', 'oklch');

/**
 * What people mean by plain words for colours, made by scripts/plain-colours.mts from lists of colours that people named; not
 * to be edited by hand.
 */
const PLAIN: ReadonlyMap<string, string> = new Map(Object.entries(plainColours));

/** The colour people mean by a plain word or two, "brown", "sky blue": lower-case `#rrggbb`, or null where it is none. */
export const plainColour = (words: string): string | null =>
  PLAIN.get(fold(words).replace(/-/g, ' ')) ?? null;

/**
 * Reads a colour as people write it: `#c23b42`, `c23b42`, `#c34`, `rgb(194 59 66)`, `hsl(…)`, `lab(…)`, plain words such as
 * `brown` or `sky blue` as people mean them, or else a CSS colour name. Colours outside sRGB are brought to the nearest one a screen can show.
 * A see-through colour is refused: a supply's colour is judged on paper.
 */
export function parseColour(text: string): ParsedColour | ColourRefusal {
  const given = text.trim();
  if (given === '') return { ok: false, code: 'colour_missing', given };
  // No colour is so long, and the library takes quadratic time to find that out.
  if (given.length > MOST_CHARACTERS)
    return { ok: false, code: 'colour_unknown', given: beginningOf(given, MOST_CHARACTERS) };
  const plain = given.startsWith('#') ? null : plainColour(given);
  if (plain !== null) return { ok: true, hex: plain };
  const colour = parsed(BARE_HEX.test(given) ? `#${given}` : given.toLowerCase());
  if (!colour) return { ok: false, code: 'colour_unknown', given };
  if (colour.alpha !== undefined && colour.alpha < 1) return { ok: false, code: 'colour_see_through', given };
  // Mapping moves even some colours that a screen can show, by rounding: only the others are mapped.
  return { ok: true, hex: formatHex(displayable(colour) ? colour : intoSrgb(colour)) };
}

/** The library's parser trips over a few texts that are no colours, such as `/0a`; those are simply unknown. */
function parsed(text: string): ReturnType<typeof parse> {
  try {
    return parse(text);
  } catch {
    return undefined;
  }
}
