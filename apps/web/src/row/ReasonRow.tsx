import type { SupplyView } from '@red-shelf/contract';
import { router } from 'expo-router';
import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { colour, space } from '../theme/tokens';
import { Swatch } from '../ui/Swatch';
import { Txt } from '../ui/Txt';

interface ReasonRowProps {
  readonly supply: SupplyView;
  /** Why it is in this list. */
  readonly reason: string;
  /** What can be done about it. */
  readonly children?: ReactNode;
  /** What is asked or told of it at length, on lines of its own. */
  readonly below?: ReactNode;
}

/** A supply, why it is listed, and what can be done; a tap on it looks closer. */
export function ReasonRow({ supply, reason, children, below }: ReasonRowProps) {
  return (
    <View style={rowStyles.row} role="listitem">
      <Pressable
        role="link"
        aria-label={supply.name}
        onPress={() => router.push({ pathname: '/stash', params: { supply: supply.id } })}
        style={rowStyles.thing}
      >
        <Swatch hex={supply.hex} group={supply.group} />
        <View style={rowStyles.words}>
          <Txt look="strong">{supply.name}</Txt>
          <Txt look="quiet">{reason}</Txt>
        </View>
      </Pressable>
      <View style={rowStyles.acts}>{children}</View>
      {below !== undefined && <View style={rowStyles.below}>{below}</View>}
    </View>
  );
}

/** How a row with acts lies, whatever it is about. */
export const rowStyles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: space.s,
    paddingHorizontal: space.m,
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.hairline,
    backgroundColor: colour.card,
  },
  thing: { flexGrow: 1, flexBasis: 190, flexDirection: 'row', gap: 12, alignItems: 'center', minWidth: 0 },
  words: { flex: 1 },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, maxWidth: '100%' },
  below: { width: '100%', gap: space.s },
});
