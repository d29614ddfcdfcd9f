import { SCHOOLS } from '@red-shelf/core';
import type { OrderBody, RecordView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { order, routes } from '../../api/client';
import { useChange } from '../../api/useChange';
import { colour, LIP, radius, space, TOUCH } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Chip } from '../../ui/Chip';
import { Folded } from '../../ui/Folded';
import { Input } from '../../ui/Input';
import { Txt } from '../../ui/Txt';
import { MINE, nameOfOrder, type Choice } from './choice';
import { flip } from './Places';

type Kept = RecordView & { readonly body: OrderBody };
interface OrderChoiceProps {
  readonly kept: readonly Kept[];
  readonly choice: Choice;
  readonly onChange: (change: Partial<Choice>) => void;
  /** The order as it is now, to keep it under a name. */
  readonly body: Omit<OrderBody, 'name' | 'sort'>;
}

/** How things are put in order: one's own, one for each school with whom it suits, and those that were kept by name. */
export function OrderChoice({ kept, choice, onChange, body }: OrderChoiceProps) {
  const remove = useChange(({ id, version }: Kept) => order(routes.removeRecord, { id, body: { version } }));
  const choose = (id: string): void => onChange({ order: id, smooth: null, lightness: null });
  const own = kept.find(({ id }) => id === choice.order);
  return (
    <Folded label="Order" value={nameOfOrder(choice, kept)}>
      <View role="radiogroup" aria-label="Order" style={styles.list}>
        <Row
          name="As I sort each kind"
          suits="Keys and families as kept under Order and drawers."
          on={choice.order === MINE}
          onPress={() => choose(MINE)}
        />
        {SCHOOLS.map(({ id, name, suits }) => (
          <Row key={id} name={name} suits={suits} on={choice.order === id} onPress={() => choose(id)} />
        ))}
        {kept.map(({ id, body: { name } }) => (
          <Row
            key={id}
            name={name}
            suits="Kept by you."
            on={choice.order === id}
            onPress={() => choose(id)}
          />
        ))}
      </View>
      <View style={styles.chips} role="group" aria-label="What stands together">
        <Chip
          many
          label="a pad with its refill and all of its colour"
          on={choice.together.includes('companions')}
          onPress={() => onChange({ together: flip(choice.together, 'companions' as const) })}
        />
        <Chip
          many
          label="each family in a row of its own"
          on={choice.begin === 'line'}
          onPress={() => onChange({ begin: choice.begin === 'line' ? 'anywhere' : 'line' })}
        />
        <Chip
          many
          label="each family in a place of its own"
          on={choice.begin === 'unit'}
          onPress={() => onChange({ begin: choice.begin === 'unit' ? 'anywhere' : 'unit' })}
        />
        <Chip
          many
          label="collections whole"
          on={choice.together.includes('collections')}
          onPress={() => onChange({ together: flip(choice.together, 'collections' as const) })}
        />
      </View>
      <View style={styles.chips}>
        <Button label="Order and drawers" onPress={() => router.push('/arrange/order')} />
        <Button label="Families" onPress={() => router.push('/arrange/families')} />
        {own && (
          <Button
            label="Forget this order"
            says={`Forget the order ${own.body.name}`}
            busy={remove.isPending}
            onPress={() => remove.mutate(own, { onSuccess: () => choose(MINE) })}
          />
        )}
      </View>
      <KeepOrder body={body} onKept={choose} />
    </Folded>
  );
}

interface RowProps {
  readonly name: string;
  readonly suits: string;
  readonly on: boolean;
  readonly onPress: () => void;
}

function Row({ name, suits, on, onPress }: RowProps) {
  return (
    <Pressable
      role="radio"
      aria-checked={on}
      aria-label={`${name}. ${suits}`}
      onPress={onPress}
      style={[styles.row, on && styles.on]}
    >
      <Txt look={on ? 'strong' : 'body'}>{name}</Txt>
      <Txt look="quiet">{suits}</Txt>
    </Pressable>
  );
}

/** Keeps the order as it is now, with how smooth it is, under a name. */
function KeepOrder({
  body,
  onKept,
}: Pick<OrderChoiceProps, 'body'> & { readonly onKept: (id: string) => void }) {
  const [name, setName] = useState('');
  const keep = useChange(() =>
    order(routes.addRecord, { body: { body: { ...body, sort: 'order' as const, name: name.trim() } } }),
  );
  return (
    <View style={styles.keep}>
      <View style={styles.name}>
        <Input label="Keep this order as" value={name} onChange={setName} />
      </View>
      <Button
        label="Keep"
        says="Keep this order"
        disabled={name.trim() === ''}
        busy={keep.isPending}
        onPress={() =>
          keep.mutate(undefined, {
            onSuccess: ({ record }) => {
              setName('');
              onKept(record.id);
            },
          })
        }
      />
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: 2 },
  row: {
    minHeight: TOUCH,
    justifyContent: 'center',
    paddingVertical: 6,
    paddingHorizontal: space.m - 4,
    borderRadius: radius.s,
    borderLeftWidth: LIP,
    borderLeftColor: 'transparent',
  },
  on: { backgroundColor: colour.card, borderLeftColor: colour.lip },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  keep: { flexDirection: 'row', alignItems: 'flex-end', gap: space.s },
  name: { flex: 1, maxWidth: 360 },
});
