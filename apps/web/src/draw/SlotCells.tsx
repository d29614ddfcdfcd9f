import { addressIn, endOf, holdsOf, staysAt, type Box, type VisibleEnd } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { createElement, memo, type MouseEvent } from 'react';
import { Path } from 'react-native-svg';
import { isLoose, type Contents } from '../api/contents';
import { colour } from '../theme/tokens';
import { boxIn, circleIn, foldIn, tickIn } from './outlines';
import { saySlot } from './saySlot';
import { SlotShape } from './SlotShape';
import { useTint } from './useTint';

/** Open slots while a search looks for things. */
const OPEN_DIMMED = 0.4;

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
  const drawn = boxes
    .slice(from, to)
    .map((box, i) => ({ box, index: from + i, living: slots[from + i] }))
    .filter(({ box }) => !within || overlap(box, within));
  const open = drawn.filter(({ living }) => !living);
  const folded = drawn.filter(
    ({ index, living }) => (living?.supply.facts.stays ?? false) || staysAt(unit, loose ? null : index),
  );
  const outline = end === 'round' || end === 'ring' ? circleIn : boxIn;
  return (
    <>
      {open.length > 0 && (
        // All of them are one path: a wall has thousands of slots, and drawing each by itself takes long.
        <Path
          d={open.map(({ box }) => outline(box)).join('')}
          {...{ fill: 'none', stroke: colour.openSlot, strokeWidth: 0.9, strokeDasharray: '1.6 2.2' }}
          opacity={lit ? OPEN_DIMMED : 1}
        />
      )}
      {open.map(({ box, index }) => {
        // Kept for a group's growth.
        const fill = held?.get(index);
        return fill && <Path key={index} d={tickIn(box)} fill={fill} opacity={lit ? OPEN_DIMMED : 1} />;
      })}
      {drawn.map(
        ({ box, index, living }) =>
          living && (
            <SlotShape
              key={index}
              box={box}
              slotWidthUm={loose ? null : (holds?.space(index)?.widthUm ?? null)}
              living={living}
              dim={lit !== undefined && !lit.has(living.supply.id) && selected !== index}
              first={firsts.has(index)}
              used={tint && (tint.get(living.supply.id) ?? 0)}
              seen={seen}
            />
          ),
      )}
      {folded.length > 0 && (
        // What is left as it is has a corner folded over.
        <Path
          d={folded.map(({ box }) => foldIn(box)).join('')}
          {...{ fill: colour.card, stroke: colour.text, strokeWidth: 0.8 }}
        />
      )}
    </>
  );
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

const BARE = {
  ...{ position: 'absolute', margin: 0, padding: 0, border: 0, background: 'none' },
  ...{ cursor: 'pointer', touchAction: 'manipulation', userSelect: 'none' },
} as const;
