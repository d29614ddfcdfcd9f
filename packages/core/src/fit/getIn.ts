import type { Size } from '../kinds/definition';
import { fitCount } from './fitCount';
import { refusalsOf, type FitRefusal } from './inSpace';
import { turned, type Turn } from './turns';

/** Where a space is open, and how large the opening is as one looks into it, µm. */
export interface Opening {
  readonly side: 'front' | 'top' | 'left or right';
  readonly widthUm: number;
  readonly heightUm: number;
}

/** What of a thing has to go through an opening: its two sides across the way in. */
function facing(thing: Size, side: Opening['side']): { readonly widthUm: number; readonly heightUm: number } {
  if (side === 'top') return { widthUm: thing.widthUm, heightUm: thing.depthUm };
  if (side === 'left or right') return { widthUm: thing.depthUm, heightUm: thing.heightUm };
  return thing;
}

/** Whether a thing that fits a space can be got into it, and which way round through which opening. */
export type GetIn =
  | { readonly ok: true; readonly turn: Turn; readonly through: Opening }
  | { readonly ok: false; readonly because: 'too_large'; readonly refusals: readonly FitRefusal[] }
  /** It would fit; no opening lets it through as it must stand there. */
  | { readonly ok: false; readonly because: 'no_way_in'; readonly refusals: readonly FitRefusal[] };

/**
 * Whether a thing can be got into a space: it has to fit there, and to go straight in through an opening the way round it
 * will stand, since there is no room to turn it inside. µm.
 */
export function getIn(
  thing: Size,
  space: Size,
  openings: readonly Opening[],
  turns: readonly Turn[] = ['as it stands'],
): GetIn {
  const fitting = turns.filter((turn) => fitCount(thing, space, { turns: [turn] }).count > 0);
  if (fitting.length === 0)
    return { ok: false, because: 'too_large', refusals: fitCount(thing, space, { turns }).refusals };
  let refusals: readonly FitRefusal[] = [];
  for (const turn of fitting)
    for (const through of openings) {
      const { widthUm, heightUm } = facing(turned(thing, turn), through.side);
      const no = refusalsOf(
        { widthUm, heightUm, depthUm: 0 },
        { widthUm: through.widthUm, heightUm: through.heightUm, depthUm: 0 },
      );
      if (no.length === 0) return { ok: true, turn, through };
      if (refusals.length === 0) refusals = no;
    }
  return { ok: false, because: 'no_way_in', refusals };
}
