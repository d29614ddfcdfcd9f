import type { Preferences } from '@red-shelf/contract';
import { PREFERENCES_ID } from '@red-shelf/contract';
import { call, routes } from './client';
import { usePreferences } from './queries';
import { useChange } from './useChange';

/** Keeps the person's preferences, new or over those that were seen. */
export function usePreferenceChange({ quiet = false } = {}) {
  const { preferences, version } = usePreferences();
  return useChange(
    (changes: Partial<Preferences>) => {
      const body = { ...preferences, ...changes };
      return version > 0
        ? call(routes.editRecord, { id: PREFERENCES_ID, body: { version, body } })
        : call(routes.addRecord, { body: { body } });
    },
    { quiet },
  );
}
