import { useState } from 'react';
import { router } from 'expo-router';
import { usePreferences, useStash } from '../api/queries';
import { many } from '../copy/words';
import { overCaps } from './lookAt';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';

const NAMED = 3;

/** One in, one out, where one is about to come in: what must leave, and what would be missed least. Never a refusal. */
export function CapNote({ kind, unitId }: { readonly kind?: string; readonly unitId?: string }) {
  const { stash } = useStash();
  const { preferences } = usePreferences();
  const [opened] = useState(() => Date.now());
  if (!stash) return null;
  const coming = { ...(kind ? { kind } : {}), ...(unitId ? { unitId } : {}) };
  const over = overCaps(stash, preferences, opened, coming).filter(
    ({ of }) => of.kind === kind && of.unitId === unitId,
  );
  return over.map(({ what, verdict }) => (
    <Note key={what} sort="attention">
      <Txt>
        {what}: {verdict.count} where {verdict.cap} may be. One in, {many(verdict.mustLeave, 'thing')} out;
        the least missed would be{' '}
        {verdict.candidates
          .slice(0, NAMED)
          .map(({ name }) => name)
          .join(', ') || 'none: all are left in peace'}
        .
      </Txt>
      <Button label="Choose what leaves" onPress={() => router.push('/gaps/look')} />
    </Note>
  ));
}
