import type { GroupBody, RecordView } from '@red-shelf/contract';
import { differenceInDays } from 'date-fns/differenceInDays';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { many } from '../copy/words';

export type Group = RecordView & { body: GroupBody };
export const WHAT = {
  kit: 'Kit',
  project: 'Project',
  collection: 'Collection',
  pack: 'Pack',
  palette: 'Palette',
  travel: 'Travel list',
} as const;

/** How old a group is, or when it was dissolved. */
export function sayAge({ body, createdAt }: Group): string {
  if (body.dissolvedOn)
    return `${body.what === 'project' ? 'closed' : 'dissolved'} ${format(parseISO(body.dissolvedOn), 'd MMM yyyy')}`;
  const days = differenceInDays(new Date(), parseISO(body.acquiredOn ?? createdAt));
  return days < 60 ? `${many(Math.max(0, days), 'day')} old` : `${many(Math.round(days / 30), 'month')} old`;
}
