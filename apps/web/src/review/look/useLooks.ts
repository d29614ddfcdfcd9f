import { useMemo, useState } from 'react';
import { usePreferences, useStash } from '../../api/queries';
import { lookAt, type Looks } from '../../judge/lookAt';
import { useWhere } from '../../api/where';

/** What is worth a look, as of when the screen was opened. */
export function useLooks(): Looks | undefined {
  const { stash } = useStash();
  const { preferences } = usePreferences();
  const [opened] = useState(() => Date.now());
  const where = useWhere(stash);
  return useMemo(
    () => stash && lookAt(stash, preferences, opened, where),
    [stash, preferences, opened, where],
  );
}
