import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { colour, LIP, space } from '../theme/tokens';
import { Txt } from './Txt';

interface PageHeadProps {
  readonly title: string;
  readonly aside?: string;
}

/** A page's title under the shelf lip, with one line of figures beside it. */
export function PageHead({ title, aside }: PageHeadProps) {
  return (
    <View style={styles.head}>
      <View style={styles.lip} />
      <View style={styles.row}>
        <Txt look="page" level={1}>
          {title}
        </Txt>
        {aside ? (
          <Txt look="quiet" style={styles.aside}>
            {aside}
          </Txt>
        ) : null}
      </View>
    </View>
  );
}

interface PageProps extends PageHeadProps {
  readonly children: ReactNode;
  /** Forms are read down a column, however wide the screen is. */
  readonly narrow?: boolean;
}

/** A page that scrolls as a whole. */
export function Page({ children, narrow = false, ...head }: PageProps) {
  return (
    <ScrollView style={styles.page} contentContainerStyle={[styles.inside, narrow && styles.narrow]}>
      <PageHead {...head} />
      {children}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, backgroundColor: colour.ground },
  inside: { padding: space.m, paddingTop: 14, gap: space.m, paddingBottom: space.l * 3 },
  narrow: { maxWidth: 680 },
  head: { gap: space.s },
  lip: { width: 26, height: LIP, backgroundColor: colour.lip },
  row: { flexDirection: 'row', alignItems: 'baseline', justifyContent: 'space-between', gap: space.m },
  aside: { flexShrink: 1, textAlign: 'right' },
});
