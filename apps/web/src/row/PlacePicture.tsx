import { pathTo } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { sayPhotoDay } from '../copy/places';
import { Thumb } from '../form/Pictures';
import { space } from '../theme/tokens';
import { Txt } from '../ui/Txt';

/** The newest picture of where it is, or of what that stands in: what is behind a door is known again. */
export function PlacePicture({ unit, all }: { readonly unit: UnitView; readonly all: readonly UnitView[] }) {
  const byId = new Map(all.map((each) => [each.id, each]));
  const shown = [...pathTo(unit, byId)]
    .reverse()
    .flatMap(({ name, facts }) => (facts.photos ?? []).slice(-1).map((photo) => ({ name, ...photo })))[0];
  if (!shown) return null;
  return (
    <View style={styles.picture}>
      <Thumb id={shown.id} size={SMALL} alt={`${shown.name} on ${sayPhotoDay(shown.on)}`} />
      <Txt look="quiet">{`${shown.name}, ${sayPhotoDay(shown.on)}`}</Txt>
    </View>
  );
}

const SMALL = 64;
const styles = StyleSheet.create({
  picture: { flexDirection: 'row', alignItems: 'center', gap: space.s, paddingVertical: space.xs },
});
