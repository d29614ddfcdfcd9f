import { FAMILY_GROUP_INFO, inkOn, type FamilyGroup } from '@red-shelf/core';
import { StyleSheet, View } from 'react-native';
import { colour, font, radius } from '../theme/tokens';
import { Txt } from './Txt';

interface SwatchProps {
  readonly hex: string;
  readonly group: FamilyGroup;
  readonly size?: number;
}

/** A supply's colour with its family's two letters, so that colour never speaks alone. */
export function Swatch({ hex, group, size = 40 }: SwatchProps) {
  return (
    <View style={[styles.swatch, { width: size, height: size, backgroundColor: hex }]}>
      <Txt look="label" style={[styles.mark, { color: inkOn(hex), fontSize: Math.max(14, size / 4) }]}>
        {FAMILY_GROUP_INFO[group].mark}
      </Txt>
    </View>
  );
}

const styles = StyleSheet.create({
  swatch: {
    borderRadius: radius.s,
    borderWidth: 1,
    borderColor: colour.hairline,
    // Mounted on white or mid-grey: a dark ground beside it would make it look lighter than it is.
    outlineWidth: 3,
    outlineStyle: 'solid',
    outlineColor: colour.mount,
    justifyContent: 'flex-end',
    padding: 4,
  },
  mark: { fontFamily: font.label },
});
