import type { ArrangePreview, SupplyView } from '@red-shelf/contract';
import { useState } from 'react';
import type { ById } from '../api/indexed';
import { StyleSheet, View } from 'react-native';
import Svg, { Rect } from 'react-native-svg';
import { many } from '../copy/words';
import { colour } from '../theme/tokens';

interface StripProps {
  /** Ids in the order they are met; null for an open slot. */
  readonly slots: readonly (string | null)[];
  readonly figures: ArrangePreview['before']['figures'];
  readonly by: ArrangePreview['by'];
  readonly byId: ById<SupplyView>;
  readonly label: string;
}

const HEIGHT = 40;
/** More slots than this cannot be told apart; then every second, third, … is drawn. */
const MOST = 480;

/** The whole run as one band of colour, slot by slot: the eye sees a break at once. */
export function Strip({ slots, figures, by, byId, label }: StripProps) {
  const [width, setWidth] = useState(0);
  const every = Math.max(1, Math.ceil(slots.length / MOST));
  const drawn = slots.filter((_, i) => i % every === 0);
  const each = width / Math.max(1, drawn.length);
  return (
    <View
      style={styles.strip}
      role="img"
      aria-label={`${label}: ${figures.placed} colours in a row, ${many(figures.breaks, 'change')} of ${by ?? 'group'}`}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
    >
      <Svg width={width} height={HEIGHT}>
        {drawn.map((id, index) => {
          const supply = id ? byId.get(id) : undefined;
          // A hair wider than its share, so that no seams show between colours.
          return supply ? (
            <Rect key={index} x={index * each} y={0} width={each + 0.3} height={HEIGHT} fill={supply.hex} />
          ) : null;
        })}
      </Svg>
    </View>
  );
}

const styles = StyleSheet.create({
  strip: {
    height: HEIGHT,
    backgroundColor: colour.card,
    outlineWidth: 1,
    outlineStyle: 'solid',
    outlineColor: colour.hairline,
  },
});
