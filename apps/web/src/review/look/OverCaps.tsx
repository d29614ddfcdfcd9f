import { router } from 'expo-router';
import { NUDGE_TITLES } from '../../copy/nudges';
import { sayUsed } from '../../copy/history';
import { many } from '../../copy/words';
import type { Looks } from '../../judge/lookAt';
import { Button } from '../../ui/Button';
import { Note } from '../../ui/Note';
import { LeaveRow } from './rows';
import { Section } from './Section';

/** Limits that are passed, and who might leave. */
export function OverCaps({ looks, onMute }: { readonly looks: Looks; readonly onMute: () => void }) {
  return (
    <Section
      title={NUDGE_TITLES.caps}
      onMute={onMute}
      why="Where a limit is passed, something must leave; these would be missed least."
      items={() =>
        looks.caps.flatMap(({ what, verdict }) => verdict.candidates.map((supply) => ({ supply, what })))
      }
      row={({ supply, what }) => (
        <LeaveRow key={`${what} ${supply.id}`} supply={supply} reason={`${what} · ${sayUsed(supply)}`} />
      )}
    >
      {looks.caps.map(({ what, verdict }) => (
        <Note key={what} sort="attention">
          {`${what}: ${verdict.count} where ${verdict.cap} may be. ${many(verdict.mustLeave, 'thing')} must leave.`}
        </Note>
      ))}
      <Button label="Set limits" onPress={() => router.push('/storage')} />
    </Section>
  );
}
