import type { Box } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { G, Path, Text } from 'react-native-svg';
import { freeIn, type Contents } from '../api/contents';
import { usePreferences } from '../api/queries';
import { sayFree } from '../copy/places';
import { colour, font } from '../theme/tokens';

interface FreeLengthProps {
  readonly unit: UnitView;
  readonly slots: Contents;
  /** Where what is in it is drawn, px. */
  readonly boxes: readonly Box[];
  readonly width: number;
  readonly height: number;
}

/** Less than this is seen, and no word fits there. */
const LEAST_PX = 54;
const EDGE = 6;
const TICK = 4;
const TEXT_PX = 11;

/** What stands free of a length that things share: measured off in the drawing, as on a plan. */
export function FreeLength({ unit, slots, boxes, width, height }: FreeLengthProps) {
  const { units } = usePreferences().preferences;
  const from = boxes.reduce((most, { x, w }) => Math.max(most, x + w), 0) + EDGE;
  const to = width - EDGE;
  const shared = unit.model?.model === 'run' ? freeIn(unit, slots) : null;
  if (!shared || shared.have >= shared.of || to - from < LEAST_PX || height < TEXT_PX * 2) return null;
  const y = height / 2 + TEXT_PX / 2;
  return (
    <G>
      <Path
        d={`M${from} ${y - TICK}v${2 * TICK}M${from} ${y}H${to}M${to} ${y - TICK}v${2 * TICK}`}
        stroke={colour.quiet}
        fill="none"
      />
      <Text
        x={(from + to) / 2}
        y={y - 5}
        fontSize={TEXT_PX}
        fontFamily={font.label}
        fill={colour.quiet}
        textAnchor="middle"
      >
        {sayFree(shared, units)}
      </Text>
    </G>
  );
}
