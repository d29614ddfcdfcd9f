import { chromaOf, hueOf, inStash, KIND_DEFINITIONS, labOf, useOf, type Kind } from '@red-shelf/core';
import type { GapsView, SupplyView } from '@red-shelf/contract';
import { scaleLinear, scaleSqrt } from 'd3-scale';
import Svg, { Circle as Dot, G, Line } from 'react-native-svg';
import { sayTone } from '../../copy/gaps';
import { many } from '../../copy/words';
import { colour } from '../../theme/tokens';
import { Chart } from './Chart';
import { Word } from './Word';

interface CircleProps {
  readonly kind: Kind;
  readonly supplies: readonly SupplyView[];
  readonly holes: GapsView['colours'];
}
/** Below this chroma a colour has no hue that could be seen. */
const GREY = 8;
const MOST_WIDE = 360;
const HUES = ['red', 'yellow', 'green', 'blue', 'purple'] as const;
const HUE_AT = { red: 30, yellow: 95, green: 150, blue: 265, purple: 315 } as const;

/** One's own colours of a kind around the circle of hues, dark ones inside, with the holes in it numbered. */
export function Circle({ kind, supplies, holes }: CircleProps) {
  const own = supplies
    .filter((each) => each.kind === kind && inStash(each))
    .map((supply) => ({ supply, lab: labOf(supply.hex), uses: useOf(supply) }));
  const hued = own.filter(({ lab }) => chromaOf(lab) >= GREY);
  const missing = holes.filter((hole) => hole.kind === kind);
  const byId = new Map(supplies.map((each) => [each.id, each]));
  const greys = own.length - hued.length;
  const says = [
    `${many(hued.length, 'colour')} around the circle, the dark ones inside, those used most drawn largest`,
    greys > 0 ? `${greys} without a hue are left out` : '',
    missing.length > 0
      ? `${many(missing.length, 'hole')}, the one that is missed most is a ${sayTone(missing[0]?.hex ?? '#888888')}`
      : 'no holes',
  ]
    .filter(Boolean)
    .join('; ');
  return (
    <Chart
      title={`The circle of your ${KIND_DEFINITIONS[kind].plural.toLowerCase()}`}
      says={`${says}.`}
      headings={['Hole', 'Colour', 'Nearest owned', 'Difference']}
      rows={missing.map(({ hex, nearestId, difference }, i) => [
        String(i + 1),
        `${sayTone(hex)} ${hex}`,
        byId.get(nearestId ?? '')?.name ?? 'none',
        difference.toFixed(0),
      ])}
      file={`${kind}-holes`}
    >
      {(width) => {
        const size = Math.min(width, MOST_WIDE);
        const radius = scaleLinear([10, 98], [size * 0.08, size * 0.42]).clamp(true);
        const dot = scaleSqrt([0, Math.max(1, ...own.map(({ uses }) => uses))], [3.5, 10]);
        const at = (hue: number, l: number): { x: number; y: number } => {
          const turn = (hue * Math.PI) / 180;
          return { x: size / 2 + radius(l) * Math.cos(turn), y: size / 2 - radius(l) * Math.sin(turn) };
        };
        return (
          <Svg width={size} height={size}>
            {[30, 60, 90].map((l) => (
              <Dot
                key={l}
                {...{ cx: size / 2, cy: size / 2, r: radius(l) }}
                fill="none"
                stroke={colour.hairline}
              />
            ))}
            {HUES.map((hue) => {
              const [from, to] = [at(HUE_AT[hue], 10), at(HUE_AT[hue], 98)];
              return (
                <G key={hue}>
                  <Line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke={colour.hairline} />
                  <Word
                    x={size / 2 + (to.x - size / 2) * 1.12}
                    y={size / 2 + (to.y - size / 2) * 1.12 + 4}
                    {...{ fontSize: 11, textAnchor: 'middle' }}
                    fill={colour.quiet}
                  >
                    {hue}
                  </Word>
                </G>
              );
            })}
            {hued.map(({ supply, lab, uses }) => {
              const { x, y } = at(hueOf(lab), lab.l);
              return (
                <Dot
                  key={supply.id}
                  {...{ cx: x, cy: y, r: dot(uses) }}
                  fill={supply.hex}
                  stroke={colour.card}
                />
              );
            })}
            {missing.map(({ hex }, i) => {
              const lab = labOf(hex);
              const { x, y } = at(hueOf(lab), lab.l);
              return (
                <G key={hex}>
                  <Dot
                    {...{ cx: x, cy: y, r: 10 }}
                    fill={colour.card}
                    stroke={colour.text}
                    strokeDasharray="3 2"
                  />
                  <Word x={x} y={y + 4} {...{ fontSize: 11, textAnchor: 'middle' }} fill={colour.text}>
                    {String(i + 1)}
                  </Word>
                </G>
              );
            })}
          </Svg>
        );
      }}
    </Chart>
  );
}
