import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Stash } from '../api/queries';
import { SupplyRow } from '../row/SupplyRow';
import { colour, space } from '../theme/tokens';
import { SearchField } from '../ui/SearchField';
import { Txt } from '../ui/Txt';
import { useFound } from '../api/useFound';
import { useWhere } from '../api/where';

interface MemberPickerProps {
  readonly stash: Stash;
  readonly chosen: ReadonlySet<string>;
  readonly onFlip: (id: string) => void;
}
const SHOWN = 12;

/** Finds supplies in plain words and ticks them. */
export function MemberPicker({ stash, chosen, onFlip }: MemberPickerProps) {
  const [query, setQuery] = useState('');
  const where = useWhere(stash);
  const found = useFound(stash, query) ?? stash.supplies.filter(({ id }) => chosen.has(id));
  return (
    <View style={styles.box}>
      <SearchField value={query} onChange={setQuery} />
      {found.slice(0, SHOWN).map((supply) => (
        <SupplyRow
          key={supply.id}
          supply={supply}
          address={where(supply)}
          selected={chosen.has(supply.id)}
          picking
          onPress={onFlip}
        />
      ))}
      {found.length > SHOWN && <Txt look="quiet">{found.length - SHOWN} more; say more of it.</Txt>}
    </View>
  );
}

const styles = StyleSheet.create({
  box: {
    gap: 2,
    padding: space.s,
    borderWidth: 1,
    borderColor: colour.hairline,
    backgroundColor: colour.card,
  },
});
