import { KIND_DEFINITIONS, KINDS } from '@red-shelf/core';
import type { FiguresView } from '@red-shelf/contract';
import { scaleLinear } from 'd3-scale';
import Svg, { G, Line, Rect } from 'react-native-svg';
import type { Units } from '../../copy/measure';
import { sayOfKind } from '../../copy/project';
import { listOf } from '../../copy/words';
import { colour } from '../../theme/tokens';
import { Chart } from './Chart';
import { Word } from './Word';

interface InAndOutProps {
  readonly months: FiguresView['months'];
  readonly units: Units;
}
const ROW = 34;
const LEFT = 92;
/** More is drawn as so much: the bar would be all that is seen. */
const MOST = 4;

/** How much comes in for what is used, kind by kind, over a year: left of the line the stash shrinks, right of it it grows. */
export function InAndOut({ months, units }: InAndOutProps) {
  const kinds = KINDS.flatMap((kind) => {
    const own = months.filter((each) => each.kind === kind);
    const bought = own.reduce((sum, each) => sum + each.bought, 0);
    const used = own.reduce((sum, each) => sum + each.used, 0);
    return bought + used > 0 ? [{ kind, bought, used, ratio: used > 0 ? bought / used : Infinity }] : [];
  });
  const grows = kinds.filter(({ ratio }) => ratio > 1.1).map(({ kind }) => KIND_DEFINITIONS[kind].plural);
  const says =
    kinds.length === 0
      ? 'Nothing was bought or used in twelve months.'
      : grows.length === 0
        ? 'Of nothing more comes in than is used.'
        : `More comes in than is used of ${listOf(grows.map((each) => each.toLowerCase()))}.`;
  return (
    <Chart
      title="What comes in against what is used"
      says={says}
      headings={['Kind', 'Bought', 'Used', 'In for 1 used']}
      rows={kinds.map(({ kind, bought, used, ratio }) => [
        KIND_DEFINITIONS[kind].plural,
        sayOfKind(kind, bought, units),
        sayOfKind(kind, used, units),
        sayRatio(ratio),
      ])}
      file="in-against-used"
    >
      {(width) => {
        const x = scaleLinear([0, MOST], [LEFT, width - 64]).clamp(true);
        return (
          <Svg width={width} height={ROW * kinds.length + 4}>
            <Line
              x1={x(1)}
              x2={x(1)}
              y1={0}
              y2={ROW * kinds.length}
              stroke={colour.text}
              strokeDasharray="3 3"
            />
            {kinds.map(({ kind, ratio }, i) => (
              <G key={kind}>
                <Word x={0} y={ROW * i + 21} fontSize={13} fill={colour.text}>
                  {KIND_DEFINITIONS[kind].plural}
                </Word>
                <Rect
                  {...{ x: x(0), y: ROW * i + 9, height: 16, width: Math.max(1, x(ratio) - x(0)) }}
                  fill={ratio > 1 ? 'none' : colour.text}
                  stroke={colour.text}
                  strokeWidth={1.4}
                />
                <Word x={width} y={ROW * i + 21} textAnchor="end">
                  {sayRatio(ratio)}
                </Word>
              </G>
            ))}
          </Svg>
        );
      }}
    </Chart>
  );
}

const sayRatio = (ratio: number): string =>
  ratio === Infinity ? 'none used' : `${ratio < 10 ? ratio.toFixed(1) : Math.round(ratio)} ×`;
