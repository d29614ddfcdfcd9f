import type { Preferences } from '@red-shelf/contract';
import { PREFERENCES_ID } from '@red-shelf/contract';
import { order, routes } from './client';
import { usePreferences } from './queries';
import { useChange } from './useChange';

/** Keeps the person's preferences, new or over those that were seen. */
export function usePreferenceChange({ quiet = false } = {}) {
  const { preferences, version } = usePreferences();
  return useChange(
    (changes: Partial<Preferences>) => {
      const body = { ...preferences, ...changes };
      return version > 0
        ? order(routes.editRecord, { id: PREFERENCES_ID, body: { version, body } })
        : order(routes.addRecord, { body: { body } });
    },
    { quiet },
  );
}
