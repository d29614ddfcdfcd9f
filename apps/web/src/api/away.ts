import type { RecordView } from '@red-shelf/contract';
import { recordsOf } from './queries';

/** What is not where it lives, by supply: packed with a project, or out with a travel list; as it is said. */
export function awayIn(records: readonly RecordView[] | undefined): ReadonlyMap<string, string> {
  const away = new Map<string, string>();
  for (const { body } of recordsOf(records, 'group'))
    if (body.awaySince && body.dissolvedOn === null)
      for (const id of body.away ?? [])
        away.set(id, `${body.what === 'project' ? 'packed' : 'out'} with “${body.name}”`);
  return away;
}
