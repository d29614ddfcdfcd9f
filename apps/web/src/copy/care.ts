import { careRule, type CareId, type PlaceMark } from '@red-shelf/core';

/** What a place is like, as one ticks it. */
export const MARK_WORDS: Readonly<Record<PlaceMark, string>> = {
  sun: 'sun falls on it',
  'bare wood': 'unsealed wood',
  damp: 'damp',
  heat: 'heat near it',
  child: 'within a child’s reach',
  high: 'above the shoulder',
  loose: 'tall, not fixed',
  glass: 'of glass',
};

/** What happens there, and what to do. */
const CARE_WORDS: Readonly<Record<CareId, { readonly why: string; readonly act: string }>> = {
  'sun fades': { why: 'Sun fades it', act: 'Put it in the shade, or cover it.' },
  'wood yellows': {
    why: 'Unsealed wood yellows paper',
    act: 'Seal the wood, line it, or put the paper in a sleeve.',
  },
  'damp curls': {
    why: 'Damp curls paper and lets it mould',
    act: 'Find it a dry place, or a box that closes.',
  },
  'damp rusts': { why: 'Damp rusts steel', act: 'Keep it dry.' },
  'heat and fumes': {
    why: 'What is dissolved in it burns and gives off fumes, and there is heat near',
    act: 'Move it to a cool place with air, away from flames and heat tools; keep to what its maker says.',
  },
  'heat melts': { why: 'Heat softens what makes it stick', act: 'Keep it cool.' },
  'child finds': {
    why: 'It is sharp, small enough to swallow or bad to breathe, and a child reaches this place',
    act: 'Put it where no child or pet reaches it.',
  },
  'heavy and high': {
    why: 'It is heavy, and above the shoulder',
    act: 'Keep it between hip and shoulder; do not climb furniture for it.',
  },
  'bottle lies': {
    why: 'In a heap it lies, and what wants to stand may leak',
    act: 'Stand it in cells or on a rail, close it well, and put a tray under it.',
  },
  'pad tilts': {
    why: 'In a heap pads tilt, and their ink runs to one side',
    act: 'Let it lie flat, the way up its maker says.',
  },
  'marker stands': {
    why: 'With a tip at each end it dries at the one that is up',
    act: 'Let it lie level, or keep to what its maker says.',
  },
  'paper lies': {
    why: 'In a pile paper stays flat, and what is below is forgotten',
    act: 'Standing between dividers it can be leafed through; leaning, it curls. Keep to the way you like.',
  },
  'liquid above paper': {
    why: 'It may leak, and there is paper below it',
    act: 'Keep liquids lowest, or put a tray under them.',
  },
  'paper below liquid': {
    why: 'Above it stands what may leak',
    act: 'Put the paper higher up, or a tray under what may leak.',
  },
  'glass high': {
    why: 'The glass stands above the shoulder, and is heavy and sharp when it falls',
    act: 'Keep glass below, on something that cannot be pulled over.',
  },
  'rod sags': {
    why: 'Full, so long a rod sags for its thickness',
    act: 'Put a brace in its middle, or a thicker rod; keep to what its maker says it bears.',
  },
  'hidden, to be seen': {
    why: 'It is to be seen, and one has to open something first',
    act: 'Give it an open place: what is not seen is not used.',
  },
  'seen, to be hidden': {
    why: 'It is not to be seen from the room, and it stands open',
    act: 'Put it behind a door, under a lid, or in a drawer.',
  },
  'nothing known': {
    why: 'One does not see into it, and nothing in it is written down',
    act: 'Open it and write down what is there; or say below that it is empty.',
  },
  'nothing known behind': {
    why: 'It is more than twice as deep as what stands in it, and nothing behind that is written down',
    act: 'Look behind, and say how many stand behind one another; or use the room.',
  },
  'falls over': {
    why: 'It is heavy, and what it stands in is tall and not fixed',
    act: 'Fix that to the wall first, as its maker says, or ask somebody qualified; heavy things go lowest.',
  },
};

/** A plain sentence about a place, with what to do. */
export function sayCare(id: CareId): string {
  const { why, act } = CARE_WORDS[id];
  return `${why}${careRule(id).sure === 'usual' ? ', usually' : ''}. ${act}`;
}

/** Where it is written down; nothing where it is nowhere. */
export const sayCareSource = (id: CareId): string => careRule(id).source ?? '';
