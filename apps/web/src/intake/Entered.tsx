import type { SupplyView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { SupplyRow } from '../row/SupplyRow';
import { colour } from '../theme/tokens';

const SHOWN = 30;

/** What was entered last, newest first; a tap shows it in full. */
export function Entered({ supplies }: { readonly supplies: readonly SupplyView[] }) {
  if (supplies.length === 0) return null;
  return (
    <View style={styles.list}>
      {supplies.slice(0, SHOWN).map((supply) => (
        <SupplyRow
          key={supply.id}
          supply={supply}
          address={null}
          selected={false}
          onPress={(id) => router.push({ pathname: '/stash', params: { supply: id } })}
        />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ list: { borderWidth: 1, borderColor: colour.hairline } });
