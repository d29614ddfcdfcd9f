import { formOf } from '@red-shelf/core';
import type { StockRequestBody, SupplyView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { usePreferences } from '../api/queries';
import { useBegun, useDraft } from '../form/useDraft';
import { readMeasure } from '../copy/measure';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Input } from '../ui/Input';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { countingWays, type CountingAnswer, type CountingWay } from './countingWays';

const typedIn = z.record(z.string(), z.string());

interface CountingHelpProps {
  readonly supply: SupplyView;
  /** Something was typed: the question stays open. */
  readonly onBegin: () => void;
  /** Tells whether it was written. */
  readonly onWrite: (body: StockRequestBody) => Promise<boolean>;
}

/** Counting without counting: by height, by mass, by turns. The answer comes with its range and where it comes from. */
export function CountingHelp({ supply, onBegin, onWrite }: CountingHelpProps) {
  const { preferences } = usePreferences();
  const ways = countingWays(supply, preferences.units);
  const [name, setName] = useDraft(`measuring.${supply.kind}.${supply.form}`, ways[0]?.name ?? '');
  const way = ways.find((each) => each.name === name) ?? ways[0];
  if (!way) return null;
  return (
    <View style={styles.box}>
      <Choice
        label="Or measure it"
        options={ways.map((each) => each.name)}
        value={way.name}
        onChange={setName}
      />
      <WayForm key={way.id} way={way} supply={supply} onBegin={onBegin} onWrite={onWrite} />
    </View>
  );
}

function WayForm({ way, supply, onBegin, onWrite }: CountingHelpProps & { readonly way: CountingWay }) {
  const { preferences } = usePreferences();
  const [kept, setTyped, clear] = useBegun(`measure.${supply.id}.${way.id}`, typedIn);
  const typed = kept ?? Object.fromEntries(way.inputs.map(({ id, start }) => [id, start]));
  const { answer, refusal } = work(way, typed, preferences.units);
  const items = formOf(supply.kind, supply.form).counting === 'fill' ? Math.max(1, supply.stock.items) : 1;
  return (
    <View style={styles.box}>
      <View style={styles.row}>
        {way.inputs.map(({ id, label }) => (
          <Input
            key={id}
            label={label}
            value={typed[id] ?? ''}
            onChange={(text) => {
              setTyped({ ...typed, [id]: text });
              onBegin();
            }}
          />
        ))}
      </View>
      {refusal && <Note sort="error">{refusal}</Note>}
      {answer && (
        <>
          <Txt look="strong">{answer.words}</Txt>
          {answer.note && <Txt>{answer.note}</Txt>}
          <Txt look="quiet">{answer.source}</Txt>
          <Button
            label="Note it as the count"
            onPress={() =>
              void onWrite({ act: 'count', items, left: answer.left }).then((done) => done && clear())
            }
          />
        </>
      )}
    </View>
  );
}

/** Reads what was measured and works it out; says what is wrong once everything has been typed. */
function work(
  way: CountingWay,
  typed: Readonly<Record<string, string>>,
  units: 'metric' | 'inches',
): { answer?: CountingAnswer; refusal?: string } {
  const given: Record<string, number> = {};
  for (const { id, type } of way.inputs) {
    const text = (typed[id] ?? '').trim();
    if (text === '') return {};
    if (type === 'number') {
      if (!/^\d{1,4}$/.test(text)) return { refusal: `“${text.slice(0, 20)}” is not a whole number.` };
      given[id] = Number(text);
      continue;
    }
    const read = readMeasure(text, type, units);
    if (!read.ok) return { refusal: read.message };
    given[id] = Number(read.value);
  }
  const answer = way.work(given);
  return answer ? { answer } : { refusal: 'These figures contradict each other; check them.' };
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
