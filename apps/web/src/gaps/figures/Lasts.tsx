import { FAMILY_GROUP_INFO, inkOn, KIND_DEFINITIONS, type Kind, byText } from '@red-shelf/core';
import type { FiguresView } from '@red-shelf/contract';
import { scaleTime } from 'd3-scale';
import Svg, { G, Line, Rect } from 'react-native-svg';
import { sayOfKind } from '../../copy/project';
import type { Units } from '../../copy/measure';
import { sayAbout } from '../../copy/when';
import { colour } from '../../theme/tokens';
import { Chart } from './Chart';
import { Word } from './Word';

interface LastsProps {
  readonly kind: Kind;
  readonly rates: FiguresView['rates'];
  readonly units: Units;
}
const ROW = 28;
const LEFT = 40;
/** Farther away is as good as never. */
const YEARS = 4;
const A_MONTH = 30.44;

/** How long what is left of each family lasts at its pace, with the range that holds in four of five cases. */
export function Lasts({ kind, rates, units }: LastsProps) {
  const own = rates.filter((each) => each.kind === kind);
  const all = own.find(({ group }) => group === null);
  const rows = own
    .filter((each) => each.group !== null && each.runsOut !== null)
    .sort((p, q) => byText(p.runsOut?.median ?? '', q.runsOut?.median ?? ''));
  const monthly = (perDay: number): string => {
    const amount = perDay * A_MONTH;
    return sayOfKind(kind, amount < 10 ? Number(amount.toFixed(1)) : Math.round(amount), units);
  };
  const says = all?.runsOut
    ? `All of it together: about ${monthly(all.perDay)} a month, used up ${sayAbout(all.runsOut)}.`
    : all && all.perDay > 0
      ? `All of it together: about ${monthly(all.perDay)} a month; that it is used up is not in sight.`
      : 'Nothing of it is used yet, as far as that is written down.';
  const now = new Date();
  const end = new Date(now.getTime() + YEARS * 365.25 * 86_400_000);
  return (
    <Chart
      title={`How long your ${KIND_DEFINITIONS[kind].plural.toLowerCase()} last`}
      says={`${says}${rows.length > 0 ? ' The line is the range that holds in four of five cases.' : ''}`}
      headings={['Family', 'A month', 'Used up', 'Not before', 'Not after']}
      rows={own.map(({ group, perDay, runsOut }) => [
        group ? FAMILY_GROUP_INFO[group].name : 'All',
        monthly(perDay),
        ...(runsOut ? [runsOut.median, runsOut.low, runsOut.high] : ['not in sight', '', '']),
      ])}
      file={`${kind}-lasts`}
    >
      {(width) => {
        const x = scaleTime([now, end], [LEFT, width - 8]).clamp(true);
        return (
          <Svg width={width} height={ROW * rows.length + 20}>
            {x.ticks(4).map((tick) => (
              <G key={tick.getTime()}>
                <Line x1={x(tick)} x2={x(tick)} y1={0} y2={ROW * rows.length} stroke={colour.hairline} />
                <Word x={x(tick)} y={ROW * rows.length + 14} textAnchor="middle">
                  {x.tickFormat(4)(tick)}
                </Word>
              </G>
            ))}
            {rows.map(({ group, runsOut }, i) => {
              if (!group || !runsOut) return null;
              const { hex, mark } = FAMILY_GROUP_INFO[group];
              const [low, median, high] = [runsOut.low, runsOut.median, runsOut.high].map((day) =>
                x(new Date(day)),
              );
              const y = ROW * i + ROW / 2;
              return (
                <G key={group}>
                  <Rect {...{ x: 0, y: y - 9, width: 28, height: 18, rx: 3 }} fill={hex} />
                  <Word x={14} y={y + 4} textAnchor="middle" fill={inkOn(hex)}>
                    {mark}
                  </Word>
                  <Line x1={low} x2={high} y1={y} y2={y} stroke={colour.text} strokeWidth={1.6} />
                  {new Date(runsOut.median) < end ? (
                    <Rect {...{ x: (median ?? 0) - 4, y: y - 7, width: 8, height: 14 }} fill={colour.text} />
                  ) : (
                    <Word x={width} y={y - 4} textAnchor="end">
                      later
                    </Word>
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
