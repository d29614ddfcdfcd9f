import { KIND_DEFINITIONS, KINDS, inStash } from '@red-shelf/core';
import type { FiguresView, SupplyView } from '@red-shelf/contract';
import { scaleLinear } from 'd3-scale';
import Svg, { G, Rect } from 'react-native-svg';
import type { Stash } from '../../api/queries';
import { sayPrice } from '../../copy/measure';
import { many } from '../../copy/words';
import { colour } from '../../theme/tokens';
import { Chart } from './Chart';
import { Word } from './Word';

interface WorthProps {
  readonly worth: FiguresView['worth'];
  readonly byId: Stash['byId'];
  readonly supplies: readonly SupplyView[];
}
const ROW = 34;
const LEFT = 92;

/** What is left is worth by what was paid for it, kind by kind and currency by currency; where prices are known. */
export function Worth({ worth, byId, supplies }: WorthProps) {
  const sums = new Map<
    string,
    { kind: SupplyView['kind']; currency: string; minor: number; things: number }
  >();
  for (const { supplyId, minor, currency } of worth) {
    const kind = byId.get(supplyId)?.kind;
    if (!kind) continue;
    const sum = sums.get(`${kind} ${currency}`) ?? { kind, currency, minor: 0, things: 0 };
    sums.set(`${kind} ${currency}`, { ...sum, minor: sum.minor + minor, things: sum.things + 1 });
  }
  const rows = [...sums.values()].sort((p, q) => KINDS.indexOf(p.kind) - KINDS.indexOf(q.kind));
  const currencies = [...new Set(rows.map(({ currency }) => currency))];
  const inAll = currencies.map((currency) =>
    sayPrice({
      currency,
      minor: rows.filter((each) => each.currency === currency).reduce((sum, each) => sum + each.minor, 0),
    }),
  );
  const all = supplies.filter(inStash).length;
  const says =
    rows.length === 0
      ? 'No price is known of anything: it can be said where something is bought.'
      : `About ${inAll.join(' and ')}, at what was paid last, for ${many(worth.length, 'thing')} of ${all}; of the others no price is known.`;
  return (
    <Chart
      title="What is left is worth"
      says={says}
      headings={['Kind', 'Worth', 'Things']}
      rows={rows.map(({ kind, currency, minor, things }) => [
        KIND_DEFINITIONS[kind].plural,
        sayPrice({ minor, currency }),
        String(things),
      ])}
      file="worth"
    >
      {(width) => {
        const most = Math.max(1, ...rows.map(({ minor }) => minor));
        const x = scaleLinear([0, most], [LEFT, width - 96]);
        return (
          <Svg width={width} height={ROW * rows.length}>
            {rows.map(({ kind, currency, minor }, i) => (
              <G key={`${kind} ${currency}`}>
                <Word x={0} y={ROW * i + 21} fontSize={13} fill={colour.text}>
                  {KIND_DEFINITIONS[kind].plural}
                </Word>
                <Rect
                  {...{ x: LEFT, y: ROW * i + 9, width: Math.max(1, x(minor) - LEFT), height: 16 }}
                  fill={colour.text}
                />
                <Word x={x(minor) + 6} y={ROW * i + 21} fontSize={12} fill={colour.quiet}>
                  {sayPrice({ minor, currency })}
                </Word>
              </G>
            ))}
          </Svg>
        );
      }}
    </Chart>
  );
}
