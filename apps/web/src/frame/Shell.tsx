import { Link, usePathname } from 'expo-router';
import { useEffect, type ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { colour, LIP, space } from '../theme/tokens';
import { Icon } from '../ui/Icon';
import { isAt, MENU, PLACES, type AppPlace } from '../ui/places';
import { Txt } from '../ui/Txt';
import { whenIdle } from '../ui/whenIdle';
import { useRested } from '../ui/useRested';
import { useWide } from '../ui/useWide';
import { rest } from './later';
import { Outgoing } from './Outgoing';

const REST_OF_APP_MS = 8000;

/** The frame of every screen: places in a bar at the foot of a phone, in a rail on a wide screen. */
export function Shell({ children }: { readonly children: ReactNode }) {
  const wide = useWide();
  const here = usePathname();
  const rested = useRested();
  useEffect(() => {
    // Run before it is needed, once nothing else is to be done.
    const fetch = (): void => void rest().catch(() => undefined);
    const timer = setTimeout(() => whenIdle(fetch), REST_OF_APP_MS);
    return () => clearTimeout(timer);
  }, []);
  const link = (place: AppPlace) => {
    const on = isAt(place, here);
    return (
      <Link key={place.path} href={place.href} asChild>
        <Pressable
          role="link"
          aria-current={on ? 'page' : undefined}
          style={wide ? styles.railPlace : styles.barPlace}
        >
          <View style={[wide ? styles.railLip : styles.barLip, on && styles.on]} />
          <Icon name={place.icon} size={22} tint={on ? colour.text : colour.quiet} />
          <Txt
            look={on ? 'strong' : 'body'}
            style={[wide ? styles.railLabel : styles.barLabel, !on && styles.off]}
          >
            {place.label}
          </Txt>
        </Pressable>
      </Link>
    );
  };
  return (
    <View style={wide ? styles.wide : styles.phone}>
      {wide && (
        <View style={styles.rail} role="navigation">
          <View style={styles.wordmark}>
            <View style={styles.wordmarkLip} />
            <Txt look="page">Red Shelf</Txt>
          </View>
          {PLACES.map(link)}
          <View style={styles.foot}>{rested && MENU.map(link)}</View>
        </View>
      )}
      <View style={styles.main} role="main">
        <Outgoing />
        {children}
      </View>
      {!wide && (
        <View style={styles.bar} role="navigation">
          {PLACES.map(link)}
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  phone: { flex: 1, backgroundColor: colour.ground },
  wide: { flex: 1, flexDirection: 'row', backgroundColor: colour.ground },
  main: { flex: 1, minWidth: 0, minHeight: 0 },
  rail: {
    width: 188,
    backgroundColor: colour.card,
    borderRightWidth: 1,
    borderRightColor: colour.hairline,
    paddingTop: space.m,
  },
  wordmark: { paddingHorizontal: 18, paddingBottom: space.m, gap: space.s },
  wordmarkLip: { width: 26, height: LIP, backgroundColor: colour.lip },
  railPlace: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 46, paddingHorizontal: 18 },
  foot: { marginTop: 'auto', paddingBottom: space.m },
  railLip: { position: 'absolute', left: 0, top: 3, bottom: 3, width: LIP },
  railLabel: { fontSize: 15.5 },
  bar: {
    flexDirection: 'row',
    backgroundColor: colour.card,
    borderTopWidth: 1,
    borderTopColor: colour.hairline,
  },
  barPlace: { flex: 1, alignItems: 'center', justifyContent: 'center', minHeight: 62, gap: 3 },
  barLip: { position: 'absolute', top: -1, left: 0, right: 0, height: LIP },
  barLabel: { fontSize: 12.5 },
  on: { backgroundColor: colour.lip },
  off: { color: colour.quiet },
});
