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

/**
 * A project of which another number is made: of what was taken for a need so much more or less is kept; but never less than is needed
 * then, of what is kept now, where there was too little of it from the start.
 */
export function withMakes(body: GroupBody, makes: number): GroupBody {
  const needed = (supplyId: string, count: number): number =>
    (body.needs ?? []).reduce((sum, need) => sum + (need.of === supplyId ? totalNeed(need, count) : 0), 0);
  const members = body.members.map((each) => {
    const [before, then] = [needed(each.supplyId, body.makes ?? 1), needed(each.supplyId, makes)];
    return before === then
      ? each
      : { ...each, amount: Math.max(each.amount + then - before, Math.min(each.amount, then)) };
  });
  return { ...body, makes, members };
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'flex-end', gap: space.s, maxWidth: 320 },
});
