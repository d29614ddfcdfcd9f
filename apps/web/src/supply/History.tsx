import type { FormDefinition } from '@red-shelf/core';
import type { LedgerView } from '@red-shelf/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { useSpotName } from '../api/spotName';
import { sayEntry } from '../copy/history';
import { many, words } from '../copy/words';
import { Button } from '../ui/Button';
import { Txt } from '../ui/Txt';

/** So many lines are read at a glance; the rest on asking. */
const AT_FIRST = 12;

/** What happened to a supply, the latest first. */
export function History({
  ledger,
  form,
}: {
  readonly ledger: readonly LedgerView[] | null;
  readonly form: FormDefinition;
}) {
  const spotName = useSpotName();
  const [all, setAll] = useState(false);
  const lines = [...(ledger ?? [])].reverse();
  const shown = all ? lines : lines.slice(0, AT_FIRST);
  return (
    <View>
      <Txt look="strong" level={2}>
        What happened
      </Txt>
      {ledger === null && <Txt look="quiet">{words.historyAway}</Txt>}
      {shown.map((entry) => (
        <Txt key={entry.id} look="quiet">
          {sayEntry(entry, form, spotName)}
        </Txt>
      ))}
      {shown.length < lines.length && (
        <Button
          label={`Earlier: ${many(lines.length - shown.length, 'line')}`}
          onPress={() => setAll(true)}
        />
      )}
    </View>
  );
}
