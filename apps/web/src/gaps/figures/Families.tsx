import { FAMILY_GROUP_INFO, inkOn, inStash, KIND_DEFINITIONS, STRETCHES, type Kind } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { scaleLinear } from 'd3-scale';
import Svg, { G, Rect } from 'react-native-svg';
import { many } from '../../copy/words';
import { colour } from '../../theme/tokens';
import { Chart } from './Chart';
import { Word } from './Word';

interface FamiliesProps {
  readonly kind: Kind;
  readonly supplies: readonly SupplyView[];
  /** The person's own order of families. */
  readonly order: readonly string[];
}
const HIGH = 56;
/** A part narrower than this has no room for its mark, px. */
const MARKED = 22;

/** How many things of a kind there are in each family, side by side as a rainbow, and what of them is used up below. */
export function Families({ kind, supplies, order }: FamiliesProps) {
  const here = supplies.filter((each) => each.kind === kind && inStash(each));
  const rank = (stretch: string): number => (order.includes(stretch) ? order.indexOf(stretch) : order.length);
  const parts = STRETCHES.map((stretch) => {
    const own = here.filter(({ family, group }) => family === stretch || group === stretch);
    return { stretch, count: own.length, out: own.filter(({ stock }) => stock.left === 0).length };
  })
    .filter(({ stretch, count }) => count > 0 && stretch !== 'neutral')
    .sort((p, q) => rank(p.stretch) - rank(q.stretch));
  const total = parts.reduce((sum, { count }) => sum + count, 0);
  const [largest] = [...parts].sort((p, q) => q.count - p.count);
  const says = largest
    ? `${many(total, 'thing')} in ${many(parts.length, 'family', 'families')}, most of them ${FAMILY_GROUP_INFO[largest.stretch].name.toLowerCase()} (${largest.count}). The line under a family is what is used up of it.`
    : 'There is nothing of this kind yet.';
  return (
    <Chart
      title={`${KIND_DEFINITIONS[kind].plural} by family`}
      says={says}
      headings={['Family', 'Things', 'Used up']}
      rows={parts.map(({ stretch, count, out }) => [
        FAMILY_GROUP_INFO[stretch].name,
        String(count),
        String(out),
      ])}
      file={`${kind}-by-family`}
    >
      {(width) => {
        const x = scaleLinear([0, total], [0, width]);
        let before = 0;
        return (
          <Svg width={width} height={HIGH + 10}>
            {parts.map(({ stretch, count, out }) => {
              const [left, right] = [x(before), x(before + count)];
              before += count;
              const { hex, mark } = FAMILY_GROUP_INFO[stretch];
              return (
                <G key={stretch}>
                  <Rect
                    {...{ x: left, y: 0, width: right - left, height: HIGH }}
                    fill={hex}
                    stroke={colour.card}
                  />
                  {right - left >= MARKED && (
                    <Word x={left + 5} y={HIGH - 8} fontSize={12} fontWeight="700" fill={inkOn(hex)}>
                      {`${mark} ${right - left >= 2 * MARKED ? count : ''}`}
                    </Word>
                  )}
                  {out > 0 && (
                    <Rect
                      {...{ x: left, y: HIGH + 3, width: ((right - left) * out) / count, height: 5 }}
                      fill={colour.text}
                    />
                  )}
                </G>
              );
            })}
          </Svg>
        );
      }}
    </Chart>
  );
}
