import { addressIn, endOf, holdsOf, staysAt, type Box, type VisibleEnd } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { createElement, memo, type MouseEvent } from 'react';
import { Circle, G, Path, Rect } from 'react-native-svg';
import { isLoose, type Contents } from '../api/contents';
import { colour } from '../theme/tokens';
import { saySlot } from './saySlot';
import { SlotShape } from './SlotShape';
import { useTint } from './useTint';

interface StretchProps {
  readonly unit: UnitView;
  readonly slots: Contents;
  /** px, of every cell. */
  readonly boxes: readonly Box[];
  /** The first cell of the stretch, and the first after it. */
  readonly from: number;
  readonly to: number;
  /** The one that is chosen, if it is in this stretch. */
  readonly selected: number | null;
}

interface CellsProps extends StretchProps {
  readonly within?: Box | undefined;
  readonly lit: ReadonlySet<string> | undefined;
  readonly held: ReadonlyMap<number, string> | undefined;
  readonly firsts: ReadonlySet<number>;
}

/** Some cells of a unit one after another: what is in them, and the open ones dotted. */
export const SlotCells = memo(function SlotCells({
  unit,
  slots,
  boxes,
  from,
  to,
  selected,
  within,
  lit,
  held,
  firsts,
}: CellsProps) {
  const tint = useTint();
  const loose = isLoose(unit);
  const end = endOf(unit);
  const holds = unit.model && holdsOf(unit.model);
  const seen = (own: VisibleEnd): VisibleEnd => (holds ? holds.seen(own) : own);
  return boxes.slice(from, to).flatMap((box, i) => {
    const index = from + i;
    if (within && !overlap(box, within)) return [];
    const living = slots[index];
    const fold = (living?.supply.facts.stays ?? false) || staysAt(unit, loose ? null : index);
    const folded = fold ? [<Fold key={`fold ${index}`} box={box} />] : [];
    if (!living)
      return [
        <OpenSlot
          key={index}
          box={box}
          round={end === 'round' || end === 'ring'}
          heldFor={held?.get(index)}
          dim={lit !== undefined}
        />,
        ...folded,
      ];
    return [
      <SlotShape
        key={index}
        box={box}
        slotWidthUm={loose ? null : (holds?.space(index)?.widthUm ?? null)}
        living={living}
        dim={lit !== undefined && !lit.has(living.supply.id) && selected !== index}
        first={firsts.has(index)}
        used={tint && (tint.get(living.supply.id) ?? 0)}
        seen={seen}
      />,
      ...folded,
    ];
  });
});

const overlap = (p: Box, q: Box): boolean =>
  p.x < q.x + q.w && q.x < p.x + p.w && p.y < q.y + q.h && q.y < p.y + p.h;

interface HitsProps extends StretchProps {
  /** px between two cells; it belongs to both when a finger comes down on it. */
  readonly wall: number;
  /** The one that is reached by the Tab key, if it is in this stretch. */
  readonly tab: number | null;
  readonly onSelect: (slot: number) => void;
}

/** Where some cells of a unit are pressed, by finger, mouse, key and voice. */
export const SlotHits = memo(function SlotHits({
  unit,
  slots,
  boxes,
  from,
  to,
  selected,
  tab,
  wall,
  onSelect,
}: HitsProps) {
  const loose = isLoose(unit);
  return boxes.slice(from, to).map((box, i) => {
    const index = from + i;
    // A plain one: a wall has thousands, and each is made and taken away with it.
    return createElement('button', {
      key: index,
      type: 'button',
      'aria-label': saySlot(addressIn(unit, loose ? null : index), slots[index] ?? null, loose),
      'aria-pressed': selected === index,
      tabIndex: tab === index ? 0 : -1,
      'data-thing': slots[index] ? 'yes' : undefined,
      onClick: (event: MouseEvent) => {
        event.stopPropagation();
        onSelect(index);
      },
      style: { ...BARE, ...hitBox(box, loose ? 0 : wall) },
    });
  });
});

const hitBox = ({ x, y, w, h }: Box, wall: number) => ({
  left: x - wall / 2,
  top: y - wall / 2,
  width: w + wall,
  height: h + wall,
});

/** The corner of what is left as it is, folded over. */
function Fold({ box: { x, y, w, h } }: { readonly box: Box }) {
  const size = Math.min(w, h, 16) * 0.45;
  return (
    <Path
      d={`M${x + w - size} ${y}H${x + w}V${y + size}Z`}
      fill={colour.card}
      stroke={colour.text}
      strokeWidth={0.8}
    />
  );
}

interface OpenSlotProps {
  readonly box: Box;
  readonly round: boolean;
  readonly heldFor: string | undefined;
  readonly dim: boolean;
}

/** A dotted outline; with a small tick of a group's colour where the slot is kept for its growth. */
function OpenSlot({ box: { x, y, w, h }, round, heldFor, dim }: OpenSlotProps) {
  const tick = Math.min(w, h, 18) * 0.5;
  const dotted = { fill: 'none', stroke: colour.openSlot, strokeWidth: 0.9, strokeDasharray: '1.6 2.2' };
  return (
    <G opacity={dim ? 0.4 : 1}>
      {round ? (
        <Circle cx={x + w / 2} cy={y + h / 2} r={Math.min(w, h) * 0.46} {...dotted} />
      ) : (
        <Rect x={x + 0.5} y={y + 0.5} width={w - 1} height={h - 1} rx={1.5} {...dotted} />
      )}
      {heldFor && <Path d={`M${x + w} ${y + h - tick}V${y + h}H${x + w - tick}Z`} fill={heldFor} />}
    </G>
  );
}

const BARE = {
  ...{ position: 'absolute', margin: 0, padding: 0, border: 0, background: 'none' },
  ...{ cursor: 'pointer', touchAction: 'manipulation', userSelect: 'none' },
} as const;
