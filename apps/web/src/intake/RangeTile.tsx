import { inkOn, type RangeEntry } from '@red-shelf/core';
import { Pressable, StyleSheet } from 'react-native';
import { colour, radius } from '../theme/tokens';
import { Icon } from '../ui/Icon';
import { Txt } from '../ui/Txt';

interface RangeTileProps {
  readonly entry: RangeEntry;
  readonly owned: boolean;
  readonly ticked: boolean;
  readonly onPress: () => void;
}

/** One colour of a range: owned, ticked as owned, or missing. */
export function RangeTile({ entry, owned, ticked, onPress }: RangeTileProps) {
  const ink = inkOn(entry.hex);
  return (
    <Pressable
      role="checkbox"
      aria-checked={owned || ticked}
      aria-disabled={owned}
      aria-label={`${entry.name}${entry.code ? ` ${entry.code}` : ''}${owned ? ', owned' : ''}`}
      disabled={owned}
      onPress={onPress}
      style={[styles.tile, { backgroundColor: entry.hex }, !owned && !ticked && styles.missing]}
    >
      {(owned || ticked) && <Icon name="check" size={18} tint={ink} />}
      <Txt look="label" style={{ color: ink }}>
        {entry.code}
      </Txt>
      <Txt look="quiet" lines={2} style={[styles.name, { color: ink }]}>
        {entry.name}
      </Txt>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  tile: {
    width: 84,
    height: 84,
    padding: 5,
    justifyContent: 'flex-end',
    borderRadius: radius.s,
    borderWidth: 1,
    borderColor: colour.hairline,
  },
  missing: { borderStyle: 'dotted', borderWidth: 2, borderColor: colour.openSlot },
  name: { fontSize: 11.5, lineHeight: 14 },
});
