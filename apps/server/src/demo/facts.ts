import { parsePaperWeight, withCheckDigit, type Facts, type Kind } from '@red-shelf/core';
import { randomStream } from './random';

const RIBBON_MATERIALS = ['satin', 'satin', 'grosgrain', 'organza', 'velvet'] as const;
const RIBBON_WIDTHS_UM = [6_350, 9_525, 15_875, 25_400, 38_100] as const;
const STICKER_PURPOSES = [
  'planner days',
  'birthdays, letters',
  'harvest',
  'garden, planner days',
  'letters',
] as const;
const STICKER_SEASONS = ['all year', 'autumn', 'all year', 'summer', 'holiday'] as const;
const DAY = 86_400_000;
const SEED = 77;

const weight = (said: string): NonNullable<Facts['attributes']> => {
  const read = parsePaperWeight(said);
  return read.ok ? { weight: read.weight } : {};
};

/** What one thing of a kind knows of itself; `i` is its place in its pile. */
function attributesOf(kind: Kind, form: string, i: number): Facts['attributes'] {
  switch (kind) {
    case 'ink':
      return { chemistry: i % 5 === 0 ? 'pigment' : 'dye' };
    case 'cardstock':
      return { paper: 'plain', ...weight(i % 3 === 0 ? '110 lb cover' : '216 gsm') };
    case 'ribbon':
      return {
        material: RIBBON_MATERIALS[i % RIBBON_MATERIALS.length] ?? 'satin',
        width: RIBBON_WIDTHS_UM[(i * 3) % RIBBON_WIDTHS_UM.length] ?? 15_875,
      };
    case 'sticker':
      return {
        purpose: STICKER_PURPOSES[i % STICKER_PURPOSES.length] ?? 'planner days',
        season: STICKER_SEASONS[i % STICKER_SEASONS.length] ?? 'all year',
      };
    default:
      return form === 'alcohol-dual' ? { tips: 'brush + chisel', emptyMass: 9_500, fullMass: 12_300 } : {};
  }
}

/** Facts of the demo supplies; the same day always gives the same ones. */
export function demoFacts(
  { kind, form, hex, code }: { kind: Kind; form: string; hex: string; code: number },
  i: number,
  now: number,
): Facts {
  const random = randomStream(SEED + i * 31 + kind.length);
  const day = (ago: number): string => new Date(now - ago * DAY).toISOString().slice(0, 10);
  const acquired = 30 + Math.floor(random() * 900);
  const said: Facts = { attributes: attributesOf(kind, form, i), acquiredOn: day(acquired) };
  if (kind === 'ink' && i % 4 === 0)
    return {
      ...said,
      openedOn: day(Math.floor(acquired / 2)),
      swatches: [{ id: 'white', hex, made: 'stamped', ground: 'white', taken: 'reader', spread: 0.4 }],
      trueSwatch: 'white',
      barcode: withCheckDigit(`2990000${String(10_000 + code)}`),
    };
  if (kind === 'marker' && i % 6 === 0) return { ...said, lidColour: true };
  if (i % 17 === 3) return { ...said, status: 'retired', tags: ['treasured'] };
  // One trial is over: it wants a decision.
  if (kind === 'marker' && i === 23) return { ...said, status: 'trial', decideOn: day(3) };
  if (i % 19 === 4) return { ...said, status: 'trial', decideOn: day(-40) };
  if (i % 13 === 5) return { ...said, grade: 'practice', tags: ['practice box'] };
  if (kind === 'sticker' && i % 9 === 2) return { ...said, collection: true };
  return said;
}
