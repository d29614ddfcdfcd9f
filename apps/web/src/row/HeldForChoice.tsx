import { freeOf, leftInAll } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useHeld } from '../api/useHeld';
import { sayHolder } from '../copy/supply';
import { space } from '../theme/tokens';
import { Chip } from '../ui/Chip';
import { Txt } from '../ui/Txt';

/** What some of a supply is kept for. */
interface KeptFor {
  readonly id: string;
  readonly name: string;
}

export interface HeldForAsked {
  readonly options: readonly KeptFor[];
  /** Null: for nothing it was kept for. */
  readonly chosen: string | null;
  readonly choose: (id: string | null) => void;
  /** What an act says of it. */
  readonly said: { readonly heldFor?: string };
}

/**
 * What a supply is about to be used for, where some of it is kept for something: the first of those where nothing is free, and where it
 * is out on the bench already.
 */
export function useHeldFor(supply: SupplyView, isOut = false): HeldForAsked {
  const held = useHeld(supply.id);
  const [picked, setPicked] = useState<string | null | undefined>(undefined);
  const options = held.map((each) => ({ id: each.id, name: sayHolder(each) }));
  const usual = isOut || freeOf(leftInAll(supply), held) === 0 ? (options[0]?.id ?? null) : null;
  const known = picked === undefined || picked === null || options.some(({ id }) => id === picked);
  const chosen = picked === undefined || !known ? usual : picked;
  return { options, chosen, choose: setPicked, said: chosen === null ? {} : { heldFor: chosen } };
}

/** Asks for what it is used, where some of it is kept for something: that is then kept aside no longer. */
export function HeldForChoice({ asked: { options, chosen, choose } }: { readonly asked: HeldForAsked }) {
  if (options.length === 0) return null;
  return (
    <View style={styles.row} role="radiogroup" aria-label="What it is used for">
      <Txt look="quiet">Used for</Txt>
      <Chip label="something else" on={chosen === null} onPress={() => choose(null)} />
      {options.map(({ id, name }) => (
        <Chip key={id} label={name} on={chosen === id} onPress={() => choose(id)} />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: space.s },
});
