import { isCutToSize } from '@red-shelf/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Stash } from '../../api/queries';
import { useFound } from '../../api/useFound';
import { useWhere } from '../../api/where';
import { SupplyRow } from '../../row/SupplyRow';
import { space } from '../../theme/tokens';
import { SearchField } from '../../ui/SearchField';
import { Txt } from '../../ui/Txt';

interface CardPickerProps {
  readonly stash: Stash;
  readonly chosen: ReadonlySet<string>;
  readonly onPick: (id: string) => void;
}
const SHOWN = 6;

/** Finds a card to cut, in plain words. */
export function CardPicker({ stash, chosen, onPick }: CardPickerProps) {
  const [query, setQuery] = useState('');
  const where = useWhere(stash);
  const found = (useFound(stash, query) ?? []).filter(
    (supply) => !chosen.has(supply.id) && isCutToSize(supply),
  );
  return (
    <View style={styles.box} role="region" aria-label="Another card">
      <Txt look="strong" level={2}>
        {chosen.size === 0 ? 'Which card?' : 'Another card'}
      </Txt>
      <SearchField value={query} onChange={setQuery} />
      {query !== '' && found.length === 0 && <Txt look="quiet">No card is called so.</Txt>}
      {found.slice(0, SHOWN).map((supply) => (
        <SupplyRow
          key={supply.id}
          supply={supply}
          address={where(supply)}
          selected={false}
          onPress={(id) => {
            setQuery('');
            onPick(id);
          }}
        />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: space.s, maxWidth: 680 } });
