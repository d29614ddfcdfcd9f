import { holdsOf, placesIn, sag, wantsBrace, type Model } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { massIn, type Contents } from '../../api/contents';
import { many } from '../../copy/words';
import { sayLength, type Units } from '../../copy/measure';
import { sayShared } from '../../copy/places';
import { saySag } from '../../copy/room';
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
  const sags = sayRod(unit.model, massIn(contents), units);
  return (
    <View style={styles.preview}>
      <UnitDrawing
        unit={unit}
        slots={contents}
        scale={Math.min(WIDE_PX / size.w, HIGH_PX[wide ? 'wide' : 'phone'] / size.h)}
      />
      <Txt look="quiet">{said}</Txt>
      {sags && <Txt look="quiet">{sags}</Txt>}
    </View>
  );
}

/** How far a rod sags under what hangs on it; nothing for what is no rod, or bare. */
function sayRod(model: Model, massMg: number, units: Units): string {
  if (model.model !== 'run' || model.how !== 'rod' || !model.rodUm || massMg === 0) return '';
  const section = { shape: 'rod', diameterUm: model.rodUm } as const;
  const wood = sag({ section, material: 'hardwood' }, model.lengthUm, massMg);
  const steel = sag({ section, material: 'steel' }, model.lengthUm, massMg);
  return saySag(wood, steel, wantsBrace(wood, model.lengthUm), units);
}

const styles = StyleSheet.create({ preview: { gap: space.s } });
