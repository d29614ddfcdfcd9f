import type { Size } from '../../kinds/definition';
import { comesOff } from '../../fit/rod';
import { fitInSpace } from '../../fit/inSpace';
import { turned, UPRIGHT, type Turn } from '../../fit/turns';
import type { Box, ModelDefinition } from './definition';
import { SHARED } from './shared';
import { inTurn } from './inTurn';
import type { RunModel } from './runSchema';

const RIM_UM = 4000;
/** How much is drawn of the rail that hooks hang on. */
const HOOK_RAIL_UM = 6000;

const spaceOf = ({ lengthUm, heightUm, depthUm }: RunModel): Size => ({
  widthUm: lengthUm,
  heightUm,
  depthUm,
});
/** A spool on a rod shows its side; whatever else shares a length stands on its base. */
const waysOf = ({ how }: RunModel): readonly Turn[] => (how === 'rod' ? ['quarter turned'] : UPRIGHT);

/** How much of the length a thing takes the way round it goes in; in a file it shows its thinnest edge. */
function alongUm(model: RunModel, size: Size): number {
  const ways = waysOf(model).map((turn) => turned(size, turn));
  const going = ways.filter((way) => fitInSpace(way, spaceOf(model)) === null);
  const [first = size] = going.length > 0 ? going : ways;
  return model.how === 'file'
    ? Math.min(first.widthUm, ...going.map(({ widthUm }) => widthUm))
    : first.widthUm;
}

/** How much of a lip is drawn, and how much of what stands behind it is seen at least; the rest would only be grey. */
const LIP_SHOWN_UM = 20_000;
const LEAST_SEEN_UM = 10_000;
const hiddenUm = ({ lipUm }: RunModel, asBuilt: boolean): number =>
  asBuilt ? 0 : Math.max(0, lipUm - LIP_SHOWN_UM);
const seenUm = (model: RunModel, asBuilt: boolean): number => model.heightUm - hiddenUm(model, asBuilt);

/** Where a thing so high is seen: hanging from above, around the rod, or standing behind the lip. */
function upright(
  model: RunModel,
  heightUm: number,
  asBuilt: boolean,
): { readonly y: number; readonly h: number } {
  const most = seenUm(model, asBuilt);
  if (model.how === 'hooks') return { y: HOOK_RAIL_UM, h: Math.min(heightUm, most - HOOK_RAIL_UM) };
  if (model.how === 'rod') {
    const h = Math.min(heightUm, most);
    return { y: (most - h) / 2, h };
  }
  const h = Math.min(most, Math.max(LEAST_SEEN_UM, heightUm - hiddenUm(model, asBuilt)));
  return { y: most - h, h };
}

export const run: ModelDefinition<RunModel> = {
  ...SHARED,
  id: 'run',
  name: 'Side by side',
  openFront: true,
  space: spaceOf,
  ways: waysOf,
  fill: (model, contents) => ({
    measure: 'length',
    have: contents.reduce((sum, size) => sum + alongUm(model, size), 0),
    of: model.lengthUm - model.fingerUm,
  }),
  overflows: 'refused',
  hidden: () => [],
  // Only a rod holds things by their middle; anywhere else one is pulled out from between the others.
  toReach: ({ how }, contents, index) =>
    how === 'rod' && index < contents.length ? comesOff(index, contents.length, 'both') : [],
  outside: (model, asBuilt = false) => ({
    w: model.lengthUm + 2 * RIM_UM,
    h: seenUm(model, asBuilt) + RIM_UM,
  }),
  boxes: (model, contents, asBuilt = false) => {
    const widths = inTurn(
      contents.map((size) => alongUm(model, size)),
      model.lengthUm,
    );
    return contents.map(({ heightUm }, i): Box => {
      const { at, long } = widths[i] ?? { at: 0, long: 0 };
      return { x: RIM_UM + at, w: long, ...upright(model, heightUm, asBuilt) };
    });
  },
  seen: ({ how }, end) =>
    how === 'rod' && end === 'ring' ? 'bar' : how === 'file' && end === 'pocket' ? 'edge' : end,
  behind: (model) => {
    const { how, rodUm = 0 } = model;
    const w = model.lengthUm + 2 * RIM_UM;
    // A rod or a rail with hooks has no lip: all of it is seen.
    if (how === 'rod') return [{ x: 0, y: (seenUm(model, true) - rodUm) / 2, w, h: rodUm }];
    return how === 'hooks' ? [{ x: 0, y: 0, w, h: HOOK_RAIL_UM }] : [];
  },
  fronts: (model, asBuilt = false) => {
    const h = model.lipUm - hiddenUm(model, asBuilt);
    const w = model.lengthUm + 2 * RIM_UM;
    return h > 0 ? [{ x: 0, y: seenUm(model, asBuilt) - h, w, h: h + RIM_UM }] : [];
  },
};
