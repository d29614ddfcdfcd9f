import type { UnitView } from '@red-shelf/contract';
import { startTransition, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Contents } from '../../api/contents';
import { boxesOf, unitSize } from '../../draw/geometry';
import { UnitDrawing } from '../../draw/UnitDrawing';
import { colour } from '../../theme/tokens';

interface SpotPictureProps {
  readonly unit: UnitView;
  readonly slots: Contents;
  /** The spot that is meant; null for the whole of it. */
  readonly at: number | null;
  /** The one thing that stays bright. */
  readonly lit?: ReadonlySet<string> | undefined;
}

const HIGH = 168;
/** What is meant is drawn so wide at least, px. */
const SEEN = 54;
/** Nothing is drawn larger than four times as large as it fits. */
const MOST_ZOOM = 4;

/** A place drawn near enough that the spot is seen, with what stands around it. */
export function SpotPicture({ unit, slots, at, lit }: SpotPictureProps) {
  const [width, setWidth] = useState(0);
  const size = unitSize(unit);
  const fit = Math.min(width / Math.max(1, size.w), HIGH / Math.max(1, size.h));
  const box = at === null ? undefined : boxesOf(unit, slots)[at];
  const scale = box ? Math.min(fit * MOST_ZOOM, Math.max(fit, SEEN / Math.max(1, box.w))) : fit;
  const shift = (middle: number, whole: number, room: number): number =>
    whole <= room ? 0 : Math.max(0, Math.min(whole - room, middle - room / 2));
  const left = box ? shift((box.x + box.w / 2) * scale, size.w * scale, width) : 0;
  const top = box ? shift((box.y + box.h / 2) * scale, size.h * scale, HIGH) : 0;
  // A rack has many cells that are not seen here.
  const within = useMemo(() => ({ x: left, y: top, w: width, h: HIGH }), [left, top, width]);
  return (
    <View
      style={[styles.window, { height: Math.min(HIGH, Math.max(1, size.h * scale)) }]}
      onLayout={({ nativeEvent: { layout } }) => startTransition(() => setWidth(layout.width))}
    >
      {width > 0 && (
        <View style={{ position: 'absolute', left: -left, top: -top }}>
          <UnitDrawing unit={unit} slots={slots} scale={scale} within={within} selected={at} lit={lit} />
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  window: { overflow: 'hidden', backgroundColor: colour.ground },
});
