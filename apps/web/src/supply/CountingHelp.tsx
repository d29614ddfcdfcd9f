import { formOf } from '@red-shelf/core';
import type { StockRequestBody, SupplyView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { usePreferences } from '../api/queries';
import type { Units } from '../copy/measure';
import { measure, typedOr, whole } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { useDraft } from '../form/useDraft';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { Txt } from '../ui/Txt';
import { countingWays, type CountingAnswer, type CountingWay } from './countingWays';

interface CountingHelpProps {
  /** Under which the question is kept that it goes with. */
  readonly name: string;
  readonly supply: SupplyView;
  /** Tells whether it was written. */
  readonly onWrite: (body: StockRequestBody) => Promise<boolean>;
}

/** Counting without counting: by height, by mass, by turns. The answer comes with its range and where it comes from. */
export function CountingHelp({ name, supply, onWrite }: CountingHelpProps) {
  const { preferences } = usePreferences();
  const ways = countingWays(supply, preferences.units);
  const [chosen, setChosen] = useDraft(`measuring.${supply.kind}.${supply.form}`, ways[0]?.name ?? '');
  const way = ways.find((each) => each.name === chosen) ?? ways[0];
  if (!way) return null;
  return (
    <View style={styles.box}>
      <Choice
        label="Or measure it"
        options={ways.map((each) => each.name)}
        value={way.name}
        onChange={setChosen}
      />
      <WayForm key={way.id} name={name} way={way} supply={supply} onWrite={onWrite} />
    </View>
  );
}

/** What a way asks, as typed, read into its answer; no answer before everything was said. */
const waySaid = (way: CountingWay, units: Units) =>
  z
    .object(
      Object.fromEntries(
        way.inputs.map(({ id, type }) => [
          id,
          typedOr(null, type === 'number' ? whole(0, 9999, 'Give a whole number.') : measure(type, units)),
        ]),
      ),
    )
    .transform((given, context): CountingAnswer | null => {
      const said = Object.entries(given).flatMap(([id, value]) => (value === null ? [] : [[id, value]]));
      if (said.length < way.inputs.length) return null;
      const answer = way.work(Object.fromEntries(said) as Record<string, number>);
      if (answer) return answer;
      const [first] = way.inputs;
      const message = 'These figures contradict each other; check them.';
      context.addIssue({ code: 'custom', path: first ? [first.id] : [], message });
      return z.NEVER;
    });

function WayForm({ name, way, supply, onWrite }: CountingHelpProps & { readonly way: CountingWay }) {
  const { preferences } = usePreferences();
  const schema = waySaid(way, preferences.units);
  const start: Record<string, string> = Object.fromEntries(way.inputs.map(({ id, start }) => [id, start]));
  const ask = useAsk(`${name}.${way.id}`, schema, start, { live: true });
  const answer = schema.safeParse(ask.said).data ?? null;
  const items = formOf(supply.kind, supply.form).counting === 'fill' ? Math.max(1, supply.stock.items) : 1;
  return (
    <View style={styles.box}>
      <View style={styles.row}>
        {way.inputs.map(({ id, label }) => (
          <Field key={id} control={ask.control} name={id} label={label} />
        ))}
      </View>
      {answer && (
        <>
          <Txt look="strong">{answer.words}</Txt>
          {answer.note && <Txt>{answer.note}</Txt>}
          <Txt look="quiet">{answer.source}</Txt>
          <Button
            label="Note it as the count"
            onPress={() =>
              ask.submit(async (read) => read !== null && onWrite({ act: 'count', items, left: read.left }))
            }
          />
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
