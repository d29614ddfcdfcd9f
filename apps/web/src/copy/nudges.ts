import type { Nudge } from '@red-shelf/contract';

/** What each nudge is called. */
export const NUDGE_TITLES: Readonly<Record<Nudge, string>> = {
  due: 'To decide now',
  caps: 'One in, one out',
  forgotten: 'Ten you forgot',
  seasons: 'Its season is near',
  partners: 'Partners missing',
  unused: 'Never used',
  misfits: 'Fits no rack',
};
