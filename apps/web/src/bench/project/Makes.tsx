import { totalNeed } from '@red-shelf/core';
import type { GroupBody } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { typed, whole } from '../../form/typed';
import { useAsk } from '../../form/useAsk';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';

const MOST = 9999;
const makesSaid = z.object({
  makes: typed(
    whole(1, MOST, `Say how many are made, a whole number from 1 to ${MOST.toLocaleString('en')}.`),
  ),
});

interface MakesProps {
  readonly groupId: string;
  readonly body: GroupBody;
  readonly onKeep: (next: GroupBody) => Promise<unknown>;
}

/** How many are made of it: what was taken for its needs grows and shrinks with that. */
export function Makes({ groupId, body, onKeep }: MakesProps) {
  const ask = useAsk(`makes.${groupId}`, makesSaid, { makes: String(body.makes ?? 1) });
  const submit = (): void => ask.submit(({ makes }) => onKeep(withMakes(body, makes)));
  return (
    <View style={styles.row}>
      <Field control={ask.control} name="makes" label="How many are made" numeric onSubmit={submit} />
      {ask.begun && <Button label="Make so many" onPress={submit} />}
    </View>
  );
}

/** A project of which another number is made: of what was taken for a need so much more or less is kept. */
export function withMakes(body: GroupBody, makes: number): GroupBody {
  const more = new Map<string, number>();
  for (const need of body.needs ?? []) {
    const grown = totalNeed(need, makes) - totalNeed(need, body.makes ?? 1);
    if (need.of) more.set(need.of, (more.get(need.of) ?? 0) + grown);
  }
  const members = body.members.map((each) => ({
    ...each,
    amount: Math.max(0, each.amount + (more.get(each.supplyId) ?? 0)),
  }));
  return { ...body, makes, members };
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'flex-end', gap: space.s, maxWidth: 320 },
});
