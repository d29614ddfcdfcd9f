import { ciede2000, chromaOf, hexOfLab, labOf, type Lab } from './lab';
import { NO_CORRECTION, sampleSpot, type Light, type Picture } from './photo';

/** One of the colours a patterned sheet is made of. */
export interface Dominant {
  readonly hex: string;
  /** Share of the picture, 0–1. */
  readonly share: number;
}

const squared = (p: Lab, q: Lab): number => (p.l - q.l) ** 2 + (p.a - q.a) ** 2 + (p.b - q.b) ** 2;

/** Spots across and down that are looked at. */
const GRID = 48;
const START_CENTRES = 10;
const ROUNDS = 12;
/** Clusters nearer than this are one colour to the eye. */
const ONE_COLOUR = 9;
const LEAST_SHARE = 0.03;

function spotsOf(picture: Picture, light: Light): Lab[] {
  const step = Math.max(picture.width, picture.height) / GRID;
  const labs: Lab[] = [];
  for (let y = step / 2; y < picture.height; y += step)
    for (let x = step / 2; x < picture.width; x += step)
      labs.push(labOf(sampleSpot(picture, { x: Math.floor(x), y: Math.floor(y), radius: 1 }, light).hex));
  return labs;
}

/** Farthest-first centres: the same picture always gives the same ones. */
function startCentres(labs: readonly Lab[]): Lab[] {
  const [first] = labs;
  if (!first) return [];
  const centres = [first];
  while (centres.length < START_CENTRES) {
    const far = labs.map((lab) => Math.min(...centres.map((c) => squared(c, lab))));
    const most = Math.max(...far);
    const next = labs[far.indexOf(most)];
    if (!next || most < ONE_COLOUR) break;
    centres.push(next);
  }
  return centres;
}

const nearestOf = (lab: Lab, centres: readonly Lab[]): number => {
  let best = 0;
  centres.forEach((centre, i) => {
    if (squared(centre, lab) < squared(centres[best] ?? centre, lab)) best = i;
  });
  return best;
};

/**
 * The colours a picture is made of, the largest first: k-means in CIELAB (Lloyd, IEEE Trans. Inf. Theory 28, 1982),
 * clusters that look alike joined, slivers left out.
 */
export function dominantColours(picture: Picture, light: Light = NO_CORRECTION, most = 6): Dominant[] {
  const labs = spotsOf(picture, light);
  let centres = startCentres(labs);
  let groups: Lab[][] = [];
  for (let round = 0; round < ROUNDS; round++) {
    groups = centres.map((): Lab[] => []);
    for (const lab of labs) groups[nearestOf(lab, centres)]?.push(lab);
    groups = groups.filter((group) => group.length > 0);
    centres = groups.map((group) => {
      const sum = group.reduce((s, p) => ({ l: s.l + p.l, a: s.a + p.a, b: s.b + p.b }), {
        l: 0,
        a: 0,
        b: 0,
      });
      return { l: sum.l / group.length, a: sum.a / group.length, b: sum.b / group.length };
    });
  }
  const found: { lab: Lab; share: number }[] = [];
  const bySize = centres.map((lab, i) => ({
    lab,
    share: (groups[i]?.length ?? 0) / Math.max(1, labs.length),
  }));
  for (const each of bySize.sort((p, q) => q.share - p.share)) {
    const same = found.find(({ lab }) => ciede2000(lab, each.lab) < ONE_COLOUR);
    if (same) same.share += each.share;
    else found.push({ ...each });
  }
  return found
    .filter(({ share }) => share >= LEAST_SHARE)
    .slice(0, most)
    .map(({ lab, share }) => ({ hex: hexOfLab(lab), share }));
}

/** The colour a person would reach for it as: the largest, unless that is mere ground and another is nearly as large. */
export function proposeHome(colours: readonly Dominant[]): Dominant | undefined {
  const pull = ({ hex, share }: Dominant) => share * (1 + Math.min(60, chromaOf(labOf(hex))) / 30);
  return [...colours].sort((p, q) => pull(q) - pull(p))[0];
}
