import { inkOn, type CutSheet, type ToCut } from '@red-shelf/core';
import { G, Line, Rect, Svg, Text } from 'react-native-svg';
import { saySize } from '../../copy/cut';
import type { Units } from '../../copy/measure';
import { colour, font } from '../../theme/tokens';

interface SheetDrawingProps {
  readonly sheet: CutSheet;
  readonly of: ToCut;
  readonly hex: string;
  /** How many cuts are made by now; the next one is lit. */
  readonly made: number;
  readonly units: Units;
  readonly label: string;
  readonly width: number;
}
/** Letters smaller than this are not drawn, px. */
const LEAST_PX = 26;

/** A sheet with its panels, what remains and where the next cut goes, to scale. */
export function SheetDrawing({ sheet, of, hex, made, units, label, width }: SheetDrawingProps) {
  const scale = width / of.widthUm;
  const height = of.heightUm * scale;
  const px = (um: number): number => um * scale;
  const next = sheet.cuts[made];
  return (
    <Svg width={width} height={height} role="img" aria-label={label}>
      <Rect
        x={0}
        y={0}
        width={width}
        height={height}
        fill={colour.ground}
        stroke={colour.text}
        strokeWidth={1}
      />
      {sheet.panels.map(({ id, x, y, widthUm, heightUm }, i) => {
        const [w, h] = [px(widthUm), px(heightUm)];
        return (
          <G key={`${id} ${i}`}>
            <Rect
              x={px(x)}
              y={px(y)}
              width={w}
              height={h}
              fill={hex}
              stroke={colour.card}
              strokeWidth={1.5}
            />
            {w > LEAST_PX * 2 && h > LEAST_PX && (
              <Text
                x={px(x) + w / 2}
                y={px(y) + h / 2 + 4}
                fill={inkOn(hex)}
                fontFamily={font.label}
                fontSize={13}
                textAnchor="middle"
              >
                {saySize({ widthUm, heightUm }, units)}
              </Text>
            )}
          </G>
        );
      })}
      {sheet.cuts.map((cut, i) => {
        const at = cut.way === 'down' ? px(cut.x + cut.atUm) : px(cut.y + cut.atUm);
        const [x1, y1, x2, y2] =
          cut.way === 'down'
            ? [at, px(cut.y), at, px(cut.y + cut.heightUm)]
            : [px(cut.x), at, px(cut.x + cut.widthUm), at];
        return i < made ? (
          <Line key={i} {...{ x1, y1, x2, y2 }} stroke={colour.text} strokeWidth={1.5} />
        ) : (
          <Line key={i} {...{ x1, y1, x2, y2 }} stroke={colour.quiet} strokeWidth={1} strokeDasharray="4 4" />
        );
      })}
      {next && (
        <G>
          <Rect
            {...{ x: px(next.x), y: px(next.y), width: px(next.widthUm), height: px(next.heightUm) }}
            fill="none"
            stroke={colour.text}
            strokeWidth={2}
          />
          <Line
            {...(next.way === 'down'
              ? {
                  x1: px(next.x + next.atUm),
                  x2: px(next.x + next.atUm),
                  y1: px(next.y),
                  y2: px(next.y + next.heightUm),
                }
              : {
                  x1: px(next.x),
                  x2: px(next.x + next.widthUm),
                  y1: px(next.y + next.atUm),
                  y2: px(next.y + next.atUm),
                })}
            stroke={colour.lip}
            strokeWidth={3}
          />
        </G>
      )}
    </Svg>
  );
}
