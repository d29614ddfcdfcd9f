import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { colour, radius, space } from '../theme/tokens';
import { Chip } from '../ui/Chip';
import { NameWay } from './NameWay';
import { PhotoWay } from './PhotoWay';
import { ReaderWay } from './ReaderWay';
import type { TakenColour } from './taken';
import { WheelWay } from './WheelWay';

const WAYS = ['Name', 'Wheel', 'Photo', 'Reader'] as const;
export type Way = (typeof WAYS)[number];

interface ColourWaysProps {
  readonly hex: string;
  readonly onTake: (colour: TakenColour) => void;
  readonly start?: Way;
}

/** The ways to take a colour: by its name, on a wheel, from a photo, with the colour reader. */
export function ColourWays({ hex, onTake, start = 'Name' }: ColourWaysProps) {
  const [way, setWay] = useState<Way>(start);
  return (
    <View style={styles.box}>
      <View style={styles.ways} role="radiogroup" aria-label="How to take the colour">
        {WAYS.map((each) => (
          <Chip key={each} label={each} on={each === way} onPress={() => setWay(each)} />
        ))}
      </View>
      {way === 'Name' && <NameWay onTake={onTake} />}
      {way === 'Wheel' && <WheelWay hex={hex} onTake={onTake} />}
      {way === 'Photo' && <PhotoWay onTake={onTake} />}
      {way === 'Reader' && <ReaderWay hex={hex} onTake={onTake} />}
    </View>
  );
}

const styles = StyleSheet.create({
  box: {
    gap: space.m - 4,
    padding: space.m - 4,
    borderWidth: 1,
    borderColor: colour.hairline,
    borderRadius: radius.m,
    backgroundColor: colour.card,
  },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
