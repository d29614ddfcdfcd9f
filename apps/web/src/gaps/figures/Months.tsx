import { KIND_DEFINITIONS, type Kind } from '@red-shelf/core';
import type { FiguresView } from '@red-shelf/contract';
import { scaleBand, scaleLinear } from 'd3-scale';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import Svg, { G, Line, Rect } from 'react-native-svg';
import { sayOfKind } from '../../copy/project';
import type { Units } from '../../copy/measure';
import { colour } from '../../theme/tokens';
import { Chart } from './Chart';
import { Word } from './Word';

interface MonthsProps {
  readonly kind: Kind;
  readonly months: FiguresView['months'];
  readonly units: Units;
}

const HIGH = 180;
const FOOT = 20;
const TOP = 8;
/** Room for the figures of the axis, px. */
const LEFT = 52;

/** What of a kind was bought and used month by month: bought in outline, used filled. */
export function Months({ kind, months, units }: MonthsProps) {
  const rows = months.filter((each) => each.kind === kind);
  const sum = (what: 'bought' | 'used'): number => rows.reduce((all, each) => all + each[what], 0);
  const say = (amount: number): string => sayOfKind(kind, amount, units);
  const busiest = rows.reduce<(typeof rows)[number] | undefined>(
    (most, each) => (each.used > (most?.used ?? 0) ? each : most),
    undefined,
  );
  const says = busiest
    ? `In twelve months ${say(sum('bought'))} bought, ${say(sum('used'))} used; most in ${format(parseISO(busiest.month), 'MMMM yyyy')}.`
    : `In twelve months ${say(sum('bought'))} bought, and nothing used that was written down.`;
  return (
    <Chart
      title={`${KIND_DEFINITIONS[kind].plural}, month by month`}
      says={`${says} Bought is drawn in outline, used is filled.`}
      headings={['Month', 'Bought', 'Used']}
      rows={rows.map(({ month, bought, used }) => [month, say(bought), say(used)])}
      file={`${kind}-by-month`}
    >
      {(width) => <Bars rows={rows} width={width} say={say} />}
    </Chart>
  );
}

interface BarsProps {
  readonly rows: FiguresView['months'];
  readonly width: number;
  readonly say: (amount: number) => string;
}

function Bars({ rows, width, say }: BarsProps) {
  const x = scaleBand(
    rows.map(({ month }) => month),
    [LEFT, width],
  ).padding(0.25);
  const most = Math.max(1, ...rows.flatMap(({ bought, used }) => [bought, used]));
  const y = scaleLinear([0, most], [HIGH - FOOT, TOP]).nice(3);
  const half = x.bandwidth() / 2;
  const bar = (at: number, amount: number) => ({
    ...{ x: at, y: y(amount), width: Math.max(1, half - 1) },
    height: Math.max(0, y(0) - y(amount)),
  });
  return (
    <Svg width={width} height={HIGH}>
      {y.ticks(3).map((tick) => (
        <G key={tick}>
          <Line x1={LEFT} x2={width} y1={y(tick)} y2={y(tick)} stroke={colour.hairline} />
          <Word x={LEFT - 6} y={y(tick) + 4} fontSize={11} textAnchor="end" fill={colour.quiet}>
            {say(tick).replace(/ (uses?|sheets?|×)$/, '')}
          </Word>
        </G>
      ))}
      {rows.map(({ month, bought, used }) => (
        <G key={month}>
          <Rect {...bar(x(month) ?? 0, bought)} fill="none" stroke={colour.text} strokeWidth={1.4} />
          <Rect {...bar((x(month) ?? 0) + half, used)} fill={colour.text} />
          <Word x={(x(month) ?? 0) + half} y={HIGH - 5} fontSize={11} textAnchor="middle" fill={colour.quiet}>
            {format(parseISO(month), 'LLLLL')}
          </Word>
        </G>
      ))}
    </Svg>
  );
}
