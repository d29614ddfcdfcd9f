import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { space } from '../theme/tokens';
import { Button } from './Button';

/** The ways into an empty stash: one pile, one thing, a maker's range or a list. */
export function FirstSteps() {
  return (
    <View style={styles.row}>
      <Button label="Start with one pile" main onPress={() => router.push('/stash/pile')} />
      <Button label="Add one thing" onPress={() => router.push('/stash/add')} />
      <Button label="Tick off a range" onPress={() => router.push('/stash/ranges')} />
      <Button label="Bring in a list" onPress={() => router.push('/data/import')} />
    </View>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s } });
