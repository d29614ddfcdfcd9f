import type { Size } from '../kinds/definition';
import { bodyOf } from '../stash/body';
import type { Lodger } from './mayLive';
import { evenGrid } from './models/grid';
import { modelSchema } from './models/modelSchema';
import { holdsOf, type Model } from './models/models';

export interface LookOptions {
  /** Free on each side of a thing, so that it goes in and comes out, µm. */
  readonly clearanceUm?: number;
  /** Free length or height for a finger, µm. */
  readonly fingerUm?: number;
}

const USUAL_CLEARANCE_UM = 3000;
const USUAL_FINGER_UM = 15_000;
const FILL_PERCENT = 80;

const grown = ({ widthUm, heightUm, depthUm }: Size, byUm: number): Size => ({
  widthUm: widthUm + byUm,
  heightUm: heightUm + byUm,
  depthUm: depthUm + byUm,
});

/** The smallest space each of the sizes goes into as it is given. */
const around = (sizes: readonly Size[]): Size => ({
  widthUm: Math.max(...sizes.map(({ widthUm }) => widthUm)),
  heightUm: Math.max(...sizes.map(({ heightUm }) => heightUm)),
  depthUm: Math.max(...sizes.map(({ depthUm }) => depthUm)),
});

/** As a thing lies flat: its thinnest side up, its longest across. */
function lying({ widthUm, heightUm, depthUm }: Size): Size {
  const [thin = 0, middle = 0, long = 0] = [widthUm, heightUm, depthUm].sort((p, q) => p - q);
  return { widthUm: long, heightUm: thin, depthUm: middle };
}

/** A pile that is so much higher than it is wide is no pile anybody keeps. */
const isTower = (model: Model): boolean =>
  model.model === 'stack' && model.heightUm > 2 * Math.max(model.widthUm, model.depthUm);

/**
 * What to look for in a shop for a pile that was measured: the inside sizes of cells, of a shelf or file, of a tray and of a box that
 * take all of it, each only where such a place can be had. No product's name: sizes to hold a tape against.
 */
export function lookFor(
  contents: readonly Lodger[],
  { clearanceUm = USUAL_CLEARANCE_UM, fingerUm = USUAL_FINGER_UM }: LookOptions = {},
): readonly Model[] {
  if (contents.length === 0) return [];
  const sizes = contents.map(({ supply, lot }) => bodyOf(supply, lot).all);
  const inside = grown(around(sizes), clearanceUm);
  const columns = Math.ceil(Math.sqrt(contents.length));
  const long = sizes.reduce((sum, { widthUm }) => sum + widthUm, fingerUm);
  const flat = grown(around(sizes.map(lying)), clearanceUm);
  const tray: Model = { model: 'stack', ...flat, heightUm: fingerUm + flat.heightUm, fingerUm };
  const high = holdsOf(tray).fill(sizes)?.have ?? 0;
  const volume = holdsOf({ model: 'loose', ...inside, fillPercent: FILL_PERCENT }).fill(sizes)?.have ?? 0;
  // A box as near to a cube as what goes into it lets it be, µm; its volume is in µl, which is mm³.
  const needs = volume / (FILL_PERCENT / 100);
  const edge = Math.ceil(Math.cbrt(needs) * 1000);
  const [wide, deep] = [Math.max(inside.widthUm, edge), Math.max(inside.depthUm, edge)];
  const boxHigh = Math.ceil((needs / ((wide / 1000) * (deep / 1000))) * 1000);
  const models: Model[] = [
    evenGrid(Math.ceil(contents.length / columns), columns, inside),
    {
      model: 'run',
      how: 'stand',
      lengthUm: long,
      heightUm: inside.heightUm,
      depthUm: inside.depthUm,
      lipUm: 0,
      fingerUm,
    },
    { ...tray, heightUm: Math.max(tray.heightUm, high + fingerUm) },
    {
      model: 'loose',
      widthUm: wide,
      depthUm: deep,
      heightUm: Math.max(inside.heightUm, boxHigh),
      fillPercent: FILL_PERCENT,
    },
  ];
  return models.filter((model) => modelSchema.safeParse(model).success && !isTower(model));
}
