import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { colour, radius, space } from '../theme/tokens';
import { Icon } from './Icon';
import { Txt } from './Txt';

interface NoteProps {
  /** `verdict` says how things stand; `attention` asks for a look; `error` says what went wrong. */
  readonly sort?: 'verdict' | 'attention' | 'error';
  readonly children: ReactNode;
}

/** A short message in the page: words and an icon, never colour alone. */
export function Note({ sort = 'verdict', children }: NoteProps) {
  return (
    <View style={[styles.note, styles[sort]]} role={sort === 'error' ? 'alert' : undefined}>
      {sort !== 'verdict' && (
        <Icon name="warn" size={20} tint={sort === 'attention' ? colour.attention : colour.text} />
      )}
      <View style={styles.words}>{typeof children === 'string' ? <Txt>{children}</Txt> : children}</View>
    </View>
  );
}

/** A word or two on amber, for things worth a look. */
export function Flag({ label }: { readonly label: string }) {
  return (
    <View style={styles.flag}>
      <Txt look="strong" style={styles.flagText}>
        {label}
      </Txt>
    </View>
  );
}

const styles = StyleSheet.create({
  note: { flexDirection: 'row', gap: space.s, padding: space.m - 4, borderRadius: radius.s },
  verdict: { backgroundColor: colour.card, borderLeftWidth: 3, borderLeftColor: colour.text },
  attention: { backgroundColor: colour.attentionGround },
  error: { backgroundColor: colour.errorGround },
  words: { flex: 1, gap: space.xs },
  flag: {
    backgroundColor: colour.attentionGround,
    borderRadius: radius.s,
    paddingHorizontal: 7,
    paddingVertical: 2,
  },
  flagText: { fontSize: 12.5, color: colour.attention },
});
