import type { ReactNode } from 'react';
import { Link, usePathname } from 'expo-router';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { colour, LIP, space, TOUCH } from '../theme/tokens';
import { HeadMenu } from './HeadMenu';
import { Icon } from './Icon';
import { placeAbove } from './places';
import { Txt } from './Txt';
import { useWide } from './useWide';
import { InTurn } from './InTurn';

interface PageHeadProps {
  readonly title: string;
  readonly aside?: string;
}

/** A page's title under the shelf lip, with the way back and one line of figures. */
export function PageHead({ title, aside }: PageHeadProps) {
  const above = placeAbove(usePathname());
  const wide = useWide();
  return (
    <View style={styles.head}>
      <View style={styles.top}>
        <View style={styles.titles}>
          {above ? (
            <Link href={above.href} asChild>
              <Pressable role="link" aria-label={`Back to ${above.label}`} style={styles.back}>
                <Icon name="back" size={18} />
                <Txt look="strong">{above.label}</Txt>
              </Pressable>
            </Link>
          ) : (
            <View style={styles.lip} />
          )}
          <View style={styles.row}>
            <Txt look="page" level={1}>
              {title}
            </Txt>
            {aside ? <Txt look="quiet">{aside}</Txt> : null}
          </View>
        </View>
        {!wide && <HeadMenu />}
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
      <InTurn>{children}</InTurn>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, backgroundColor: colour.ground },
  inside: { padding: space.m, paddingTop: 14, gap: space.m, paddingBottom: space.l * 3 },
  narrow: { maxWidth: 680 },
  // Its menu lies over what follows.
  head: { zIndex: 2 },
  top: { flexDirection: 'row', alignItems: 'flex-start', justifyContent: 'space-between' },
  titles: { flex: 1, gap: space.s },
  back: {
    flexDirection: 'row',
    alignItems: 'center',
    alignSelf: 'flex-start',
    gap: space.xs,
    minHeight: TOUCH,
    marginLeft: -4,
    paddingRight: space.s,
  },
  lip: { width: 26, height: LIP, backgroundColor: colour.lip },
  // Where both do not fit on one line, the aside goes under the title.
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'baseline', columnGap: space.m },
});
