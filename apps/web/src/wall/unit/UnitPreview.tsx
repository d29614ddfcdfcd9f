import { bodyOf, holdsOf, placesIn, rodFit, sag, wantsBrace, type Model } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { massIn, type Contents } from '../../api/contents';
import { many } from '../../copy/words';
import { sayLength, type Units } from '../../copy/measure';
import { sayShared } from '../../copy/places';
import { sayProjection, saySag } from '../../copy/room';
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
  const sags = sayRod(unit.model, contents, units);
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

/** How far a rod sags under what hangs on it, and how far from the wall it stands; nothing for what is no rod, or bare. */
function sayRod(model: Model, contents: Contents, units: Units): string {
  const massMg = massIn(contents);
  if (model.model !== 'run' || model.how !== 'rod' || !model.rodUm || massMg === 0) return '';
  const section = { shape: 'rod', diameterUm: model.rodUm } as const;
  const wood = sag({ section, material: 'hardwood' }, model.lengthUm, massMg);
  const steel = sag({ section, material: 'steel' }, model.lengthUm, massMg);
  const spools = contents.flatMap((each) => {
    if (!each) return [];
    const { widthUm, heightUm, depthUm } = bodyOf(each.supply, each.lot).one;
    return [{ widthUm: depthUm, outerUm: Math.max(widthUm, heightUm) }];
  });
  const rod = { lengthUm: model.lengthUm, diameterUm: model.rodUm, projectionUm: model.depthUm };
  const { projectionNeededUm } = rodFit(spools, rod);
  return (
    saySag(wood, steel, wantsBrace(wood, model.lengthUm), units) + sayProjection(projectionNeededUm, units)
  );
}

const styles = StyleSheet.create({ preview: { gap: space.s } });
