import { StyleSheet, View } from 'react-native';
import { words } from '../copy/words';
import { space } from '../theme/tokens';
import { Note } from './Note';
import { Txt } from './Txt';

/** While the stash is on its way, or when it cannot be had. */
export function Waiting({ error }: { readonly error: Error | null }) {
  return (
    <View style={styles.box}>
      {error ? <Note sort="error">{error.message}</Note> : <Txt look="quiet">{words.loading}</Txt>}
    </View>
  );
}

const styles = StyleSheet.create({ box: { padding: space.l } });
