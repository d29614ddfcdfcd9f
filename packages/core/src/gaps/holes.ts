import { chromaOf, ciede2000, labOf, type Lab } from '../colour/lab';
import { hexOnWheel, onWheel } from '../colour/wheel';

/** A colour that is missed: nothing owned is near it, though things around it are used. */
export interface Hole<T> {
  readonly hex: string;
  /** How much what is used speaks for it, from 0 to 1, the one that is missed most being 1. */
  readonly weight: number;
  /** What is owned and nearest to it; null where nothing is. */
  readonly nearest: T | null;
  /** ΔE (CIEDE2000) to that. */
  readonly difference: number;
}
export interface HoleOptions {
  /** Colours that could be had, such as the missing ones of a range; the whole circle by lightness when left out. */
  readonly candidates?: readonly string[];
  /** So many at most. */
  readonly most?: number;
  /** What is nearer to something owned than this is no hole, ΔE. */
  readonly least?: number;
}

const MOST = 12;
/** Nearer than this it is a colour one has, or one beside it. */
const LEAST = 12;
const LIGHTNESSES = [25, 40, 55, 70, 85] as const;
const HUE_STEP = 15;
/** What is used speaks for colours so far around it, ΔE. */
const AROUND = 25;
/** What one owns speaks for its surroundings like so many uses. */
const OWNED = 1;
/** Where a person uses nothing yet every colour may still be one that is missed, as a part of the most used. */
const UNUSED = 0.1;
/** Saturated as three of four of what is owned are, at least so much. */
const USUAL_SHARE = 0.75;
const LEAST_CHROMA = 25;

/**
 * The holes of a person's own colours, best first: of the circle of hues by lightness, as saturated as theirs are, the places
 * farthest from anything owned, counted the more the more is used around them (a Gaussian of ΔE). One after another: a hole once
 * named counts as filled, so that no two of them are alike. `uses` are times or amounts, of one measure for all. Cost: candidates times
 * owned. Throws NotAColourError for what is none, RangeError for uses below nothing.
 */
export function colourHoles<T extends { readonly hex: string; readonly uses: number }>(
  owned: readonly T[],
  { candidates, most = MOST, least = LEAST }: HoleOptions = {},
): readonly Hole<T>[] {
  const wrong = owned.find(({ uses }) => !(uses >= 0));
  if (wrong) throw new RangeError(`${wrong.uses} uses are none; it must be nothing or more.`);
  const have = owned.map((item) => ({ item, lab: labOf(item.hex) }));
  const hexes = candidates ?? circle(have.map(({ lab }) => lab));
  const rows = distancesTo(hexes);
  const apartFrom = have.map(({ item: { hex }, lab }) => rows(hex, lab));
  const places = hexes.map((hex, place) => {
    let [nearest, difference]: [T | null, number] = [null, Infinity];
    let wanted = 0;
    for (let i = 0; i < have.length; i++) {
      const each = have[i];
      const apart = apartFrom[i]?.[place] ?? Infinity;
      if (!each) continue;
      wanted += (each.item.uses + OWNED) * Math.exp(-((apart / AROUND) ** 2));
      if (apart < difference) [nearest, difference] = [each.item, apart];
    }
    return { hex, lab: labOf(hex), nearest, difference, wanted, open: difference };
  });
  const top = Math.max(1e-9, ...places.map(({ wanted }) => wanted));
  const missed = ({ wanted, open }: (typeof places)[number]): number =>
    open < least ? 0 : (wanted / top + UNUSED) * Math.min(open, 2 * AROUND);
  const holes: (typeof places)[number][] = [];
  const scores: number[] = [];
  while (holes.length < most && places.length > 0) {
    const best = places.reduce((a, b) => (missed(b) > missed(a) ? b : a));
    const score = missed(best);
    if (score === 0) break;
    holes.push(best);
    scores.push(score);
    for (const place of places) place.open = Math.min(place.open, ciede2000(place.lab, best.lab));
  }
  return holes.map(({ hex, nearest, difference }, i) => ({
    ...{ hex, nearest, difference },
    weight: (scores[i] ?? 0) / (scores[0] ?? 1),
  }));
}

/** What was measured of the last few sets of candidates, so that after a use nothing is measured anew; the oldest is forgotten. */
const measured = new Map<string, Map<string, Float64Array>>();
const MOST_SETS = 16;
const MOST_COLOURS = 20_000;

/** The differences of a colour to each of the candidates. */
function distancesTo(hexes: readonly string[]): (hex: string, lab: Lab) => Float64Array {
  const key = hexes.join();
  const rows = measured.get(key) ?? new Map<string, Float64Array>();
  measured.delete(key);
  measured.set(key, rows);
  for (const oldest of measured.keys()) if (measured.size > MOST_SETS) measured.delete(oldest);
  if (rows.size > MOST_COLOURS) rows.clear();
  const labs = hexes.map(labOf);
  return (hex, lab) => {
    const known = rows.get(hex);
    if (known) return known;
    const row = Float64Array.from(labs, (other) => ciede2000(other, lab));
    rows.set(hex, row);
    return row;
  };
}

/** The circle of hues at several lightnesses, as saturated as most of what is owned; without what a screen cannot show. */
function circle(owned: readonly Lab[]): string[] {
  const chromas = owned.map(chromaOf).sort((a, b) => a - b);
  const usual = Math.max(LEAST_CHROMA, chromas[Math.floor(chromas.length * USUAL_SHARE)] ?? 2 * LEAST_CHROMA);
  const found = new Map<string, string>();
  for (const lightness of LIGHTNESSES)
    for (let hue = 0; hue < 360; hue += HUE_STEP) {
      const hex = hexOnWheel({ lightness, radius: usual / 100, hue });
      // Where the hue cannot be as saturated at this lightness it is as far as it goes; what is nearly grey is none of the circle.
      if (onWheel(hex).radius * 100 >= LEAST_CHROMA / 2) found.set(hex, hex);
    }
  return [...found.keys()];
}
