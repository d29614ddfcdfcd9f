import type { Standing } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { memo } from 'react';
import { Pressable, StyleSheet } from 'react-native';
import { colour } from '../../theme/tokens';
import { Txt } from '../../ui/Txt';
import { UM_A_PX } from './useZoom';

interface PieceProps {
  readonly standing: Standing<UnitView>;
  readonly k: number;
  readonly onGo: (standing: Standing<UnitView>) => void;
}

/** Furniture: its outline, and its name where there is room for it. */
export const Piece = memo(function Piece({ standing, k, onGo }: PieceProps) {
  const { unit, box, level } = standing;
  const [left, top, width, height] = [box.x, box.y, box.w, box.h].map((um) => um / UM_A_PX);
  const named = box.w / UM_A_PX > 70 / k;
  return (
    <>
      <Pressable
        role="button"
        aria-label={`Go to ${unit.name}`}
        onPress={() => onGo(standing)}
        style={[styles.piece, { left, top, width, height }]}
      />
      {named && (
        <Txt
          look="quiet"
          lines={1}
          style={[
            styles.name,
            // Under what it names; in what stands in another, at its foot.
            { left: (left ?? 0) + 3 / k, top: (top ?? 0) + (height ?? 0) - (level > 0 ? 20 / k : -2 / k) },
            { maxWidth: width, fontSize: 13 / k, lineHeight: 17 / k },
          ]}
        >
          {unit.name}
        </Txt>
      )}
    </>
  );
});

const styles = StyleSheet.create({
  piece: {
    position: 'absolute',
    backgroundColor: colour.card,
    borderWidth: 2,
    borderColor: colour.rackWall,
  },
  name: { position: 'absolute', pointerEvents: 'none' },
});
