import { Link } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { colour, radius, space, TOUCH } from '../theme/tokens';
import { Icon } from './Icon';
import { MENU } from './places';
import { Txt } from './Txt';
import { useKeys } from './useKeys';

/** What is needed now and then, at the head of every page of a phone; a wide screen has it at the foot of the rail. */
export function HeadMenu() {
  const [open, setOpen] = useState(false);
  useKeys(open ? { Escape: () => setOpen(false) } : {});
  return (
    <View style={styles.box}>
      <Pressable
        role="button"
        aria-label="Menu"
        aria-expanded={open}
        onPress={() => setOpen(!open)}
        style={styles.button}
      >
        <Icon name={open ? 'close' : 'menu'} size={22} />
      </Pressable>
      {open && (
        <View style={styles.list} role="navigation" aria-label="Menu">
          {MENU.map(({ href, path, label, icon }) => (
            <Link key={path} href={href} asChild>
              <Pressable role="link" style={styles.row} onPress={() => setOpen(false)}>
                <Icon name={icon} size={20} />
                <Txt>{label}</Txt>
              </Pressable>
            </Link>
          ))}
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { position: 'relative', zIndex: 2 },
  button: { width: TOUCH, height: TOUCH, alignItems: 'center', justifyContent: 'center' },
  list: {
    position: 'absolute',
    top: TOUCH,
    right: 0,
    width: 220,
    backgroundColor: colour.card,
    borderWidth: 1,
    borderColor: colour.hairline,
    borderRadius: radius.m,
    paddingVertical: space.xs,
  },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m - 4,
    minHeight: 48,
    paddingHorizontal: space.m,
  },
});
