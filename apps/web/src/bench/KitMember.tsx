import { formOf } from '@red-shelf/core';
import type { GroupBody, SupplyView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { sayLength, type Units } from '../copy/measure';
import { measure, typed, whole } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';

const MOST = 999_999_999;
const LABEL = {
  fill: 'Uses kept',
  sheets: 'Sheets kept',
  pieces: 'Pieces kept',
  length: 'Length kept',
} as const;

/** How much of something a kit begins with: one sheet, piece or metre; of what runs dry all that is in it. */
export function firstAmount({ kind, form, stock }: SupplyView): number {
  switch (formOf(kind, form).counting) {
    case 'fill':
      return stock.left;
    case 'length':
      return Math.min(stock.left, 1_000_000);
    default:
      return Math.min(stock.left, 1);
  }
}

/** An amount of a supply in its own unit, as it is said. */
export const sayKept = ({ kind, form }: SupplyView, amount: number, units: Units): string => {
  const { counting } = formOf(kind, form);
  return counting === 'length' ? sayLength(amount, units) : String(amount);
};

interface KitMemberProps {
  readonly supply: SupplyView;
  readonly member: GroupBody['members'][number];
  readonly units: Units;
  readonly onKeep: (amount: number) => Promise<unknown>;
}

/** How much of a member a kit keeps to itself; the rest is free. */
export function KitMember({ supply, member, units, onKeep }: KitMemberProps) {
  const { counting } = formOf(supply.kind, supply.form);
  const said = z.object({
    amount: typed(
      counting === 'length'
        ? measure('length', units)
        : whole(0, MOST, 'Say how much is kept for it, a whole number from 0 up.'),
    ),
  });
  const ask = useAsk(`member.${supply.id}`, said, { amount: sayKept(supply, member.amount, units) });
  const submit = (): void => ask.submit(({ amount }) => onKeep(amount));
  return (
    <View style={styles.row}>
      <Field
        control={ask.control}
        name="amount"
        label={LABEL[counting]}
        says={`${LABEL[counting]} of ${supply.name}`}
        onSubmit={submit}
      />
      {ask.begun && <Button label="Keep so much" onPress={submit} />}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'flex-end', gap: space.s, maxWidth: 260 },
});
