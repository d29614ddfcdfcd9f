import { hexOnWheel, onWheel } from '@red-shelf/core';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle, Path } from 'react-native-svg';
import { colour, radius, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Txt } from '../ui/Txt';
import type { TakenColour } from './taken';
import { Slider } from './Slider';

const HUES = 24;
const RINGS = 5;
const SIZE = 208;
const CENTRE = SIZE / 2;
const STEPS = 13;
const steps = (n: number): number[] => Array.from({ length: n }, (_, i) => i / (n - 1));

interface WheelWayProps {
  readonly hex: string;
  readonly onTake: (colour: TakenColour) => void;
}

/** A wheel of hue and strength, and a strip of lightness; every part works with a thumb and with arrow keys. */
export function WheelWay({ hex, onTake }: WheelWayProps) {
  const [at, setAt] = useState(() => onWheel(hex));
  const picked = hexOnWheel(at);
  const { lightness } = at;
  const wheel = useMemo(() => sectors(lightness), [lightness]);
  return (
    <View style={styles.box}>
      <View style={styles.top}>
        <Svg width={SIZE} height={SIZE} role="img" aria-label="Colour wheel">
          {wheel.map(({ path, fill, radius: r, hue }) => (
            <Path key={path} d={path} fill={fill} onPress={() => setAt({ lightness, radius: r, hue })} />
          ))}
          <Circle
            cx={CENTRE + at.radius * CENTRE * Math.cos((at.hue * Math.PI) / 180)}
            cy={CENTRE - at.radius * CENTRE * Math.sin((at.hue * Math.PI) / 180)}
            r={8}
            fill={picked}
            stroke={colour.text}
            strokeWidth={2}
          />
        </Svg>
        <View style={styles.side}>
          <View style={[styles.picked, { backgroundColor: picked }]} />
          <Txt look="number">{picked}</Txt>
        </View>
      </View>
      <Slider
        label="Light to dark"
        value={100 - at.lightness}
        most={100}
        onChange={(dark) => setAt({ ...at, lightness: 100 - dark })}
        strip={steps(STEPS).map((s) => hexOnWheel({ ...at, lightness: 100 - 100 * s }))}
      />
      <Slider
        label="Hue"
        value={at.hue}
        most={360}
        onChange={(hue) => setAt({ ...at, hue })}
        strip={steps(STEPS * 2).map((s) =>
          hexOnWheel({ ...at, radius: Math.max(0.3, at.radius), hue: 360 * s }),
        )}
      />
      <Slider
        label="Grey to vivid"
        value={at.radius * 100}
        most={100}
        onChange={(percent) => setAt({ ...at, radius: percent / 100 })}
        strip={steps(STEPS).map((s) => hexOnWheel({ ...at, radius: s }))}
      />
      <Button label={`Take ${picked}`} main onPress={() => onTake({ hex: picked, taken: 'wheel' })} />
    </View>
  );
}

interface Sector {
  readonly path: string;
  readonly fill: string;
  readonly radius: number;
  readonly hue: number;
}

/** The wheel in pieces big enough for a thumb. */
function sectors(lightness: number): Sector[] {
  return Array.from({ length: HUES * RINGS }, (_, i): Sector => {
    const ring = Math.floor(i / HUES);
    const hue = ((i % HUES) * 360) / HUES;
    const [inner, outer] = [(ring * CENTRE) / RINGS, ((ring + 1) * CENTRE) / RINGS];
    const half = 180 / HUES;
    const point = (r: number, degrees: number): string => {
      const angle = (degrees * Math.PI) / 180;
      return `${(CENTRE + r * Math.cos(angle)).toFixed(1)} ${(CENTRE - r * Math.sin(angle)).toFixed(1)}`;
    };
    const path = `M${point(inner, hue - half)}L${point(outer, hue - half)}A${outer} ${outer} 0 0 0 ${point(outer, hue + half)}L${point(inner, hue + half)}A${inner} ${inner} 0 0 1 ${point(inner, hue - half)}Z`;
    const radius = (ring + 0.5) / RINGS;
    return { path, hue, radius, fill: hexOnWheel({ lightness, radius, hue }) };
  });
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  top: { flexDirection: 'row', gap: space.m, alignItems: 'center' },
  side: { gap: space.s, flex: 1 },
  picked: { height: 88, borderRadius: radius.s, borderWidth: 1, borderColor: colour.hairline },
});
