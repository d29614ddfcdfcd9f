import { fold } from '../text/fold';

/** Words that say what sort of thing a colour comes as, and nothing of the colour. */
const TRADE_WORDS: ReadonlySet<string> = new Set(
  (
    'ink inks inkpad pad pads mini full wide refill refills reinker reinkers inker inkers bottle spray drops dye pigment ' +
    'marker markers pen pens brush blender pencil pencils card cards cardstock cardboard paper sheet sheets ribbon ribbons ' +
    'spool foam dauber stamp die set'
  ).split(' '),
);

/**
 * A thing's name as the name of its colour: folded, without the words of the trade, so that a refill called "Reed Pond
 * reinker" is of the same colour as the pad "Reed Pond". A name of such words alone stays as it is.
 */
export function colourNameOf(name: string): string {
  const folded = fold(name).replace(/re-ink/g, 'reink');
  const words = folded.split(/[^\p{L}\p{N}]+/u).filter((word) => word !== '');
  const colour = words.filter((word) => !TRADE_WORDS.has(word));
  return (colour.length > 0 ? colour : words).join(' ');
}
