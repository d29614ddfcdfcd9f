import { holdsOf, placesIn } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import type { Contents } from '../../api/contents';
import { many } from '../../copy/words';
import { sayLength, type Units } from '../../copy/measure';
import { sayShared } from '../../copy/places';
import { space } from '../../theme/tokens';
import { Txt } from '../../ui/Txt';
import { useWide } from '../../ui/useWide';
import { unitSize } from '../../draw/geometry';
import { UnitDrawing } from '../../draw/UnitDrawing';

const WIDE_PX = 340;
/** Low enough on a phone that the fields under it stay in sight. */
const HIGH_PX = { wide: 340, phone: 190 };

interface UnitPreviewProps {
  readonly unit: UnitView;
  readonly contents: Contents;
  readonly units: Units;
}

/** The unit drawn as it would be, with what its sizes come to. */
export function UnitPreview({ unit, contents, units }: UnitPreviewProps) {
  const wide = useWide();
  const size = unitSize(unit);
  if (!unit.model) return null;
  const holds = holdsOf(unit.model);
  const { widthUm, heightUm, depthUm } = holds.space(holds.shares ? null : 0);
  const inside = [widthUm, heightUm, depthUm].map((um) => sayLength(um, units)).join(' × ');
  const shared = holds.fill([]);
  const said = shared
    ? `${inside} inside: ${sayShared(shared, units)}.`
    : `${many(placesIn(unit), 'slot')}, the first ${inside} inside; ${sayLength(size.w, units)} wide in all.`;
  return (
    <View style={styles.preview}>
      <UnitDrawing
        unit={unit}
        slots={contents}
        scale={Math.min(WIDE_PX / size.w, HIGH_PX[wide ? 'wide' : 'phone'] / size.h)}
      />
      <Txt look="quiet">{said}</Txt>
    </View>
  );
}

const styles = StyleSheet.create({ preview: { gap: space.s } });
