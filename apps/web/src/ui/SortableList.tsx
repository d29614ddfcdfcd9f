import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  MouseSensor,
  TouchSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { useState, type ReactNode } from 'react';
import { StyleSheet, View, type ViewStyle } from 'react-native';
import { colour, TOUCH } from '../theme/tokens';
import { Button } from './Button';
import { Txt } from './Txt';

interface SortableListProps<Id extends string> {
  readonly ids: readonly Id[];
  /** What a thing is called. */
  readonly nameOf: (id: Id) => string;
  readonly onMove: (id: Id, to: number) => void;
  readonly children: (id: Id) => ReactNode;
}

/** A press this long takes hold on a touch screen, so that a swipe still scrolls. */
const HOLD_MS = 150;
const HOLD_SLIP_PX = 8;
const MOUSE_SLIP_PX = 4;

/**
 * A list put in order by dragging, by the keyboard (space, arrows, space), or by the arrows that stand on the row one is
 * in: tapped or focused.
 */
export function SortableList<Id extends string>({ ids, nameOf, onMove, children }: SortableListProps<Id>) {
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: MOUSE_SLIP_PX } }),
    useSensor(TouchSensor, { activationConstraint: { delay: HOLD_MS, tolerance: HOLD_SLIP_PX } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const [chosen, setChosen] = useState<Id | null>(null);
  const drop = ({ active, over }: DragEndEvent): void => {
    const moved = ids.find((id) => id === active.id);
    const to = ids.findIndex((id) => id === over?.id);
    if (moved && to >= 0 && over?.id !== active.id) onMove(moved, to);
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        {ids.map((id, i) => (
          <Row
            key={id}
            id={id}
            name={nameOf(id)}
            first={i === 0}
            last={i === ids.length - 1}
            chosen={id === chosen}
            onChoose={() => setChosen(id)}
            onStep={(by) => onMove(id, i + by)}
          >
            {children(id)}
          </Row>
        ))}
      </SortableContext>
    </DndContext>
  );
}

/** Here the web takes hold instead of scrolling; the types do not know these. */
const WEB_HANDLE = { touchAction: 'none', cursor: 'grab' } as unknown as ViewStyle;

interface RowProps {
  readonly id: string;
  readonly name: string;
  readonly first: boolean;
  readonly last: boolean;
  readonly chosen: boolean;
  readonly onChoose: () => void;
  readonly onStep: (by: number) => void;
  readonly children: ReactNode;
}

function Row({ id, name, first, last, chosen, onChoose, onStep, children }: RowProps) {
  const { setNodeRef, setActivatorNodeRef, attributes, listeners, transform, isDragging } = useSortable({
    id,
  });
  const moved = transform ? [{ translateY: transform.y }] : [];
  return (
    <View
      ref={setNodeRef as never}
      style={[styles.row, isDragging && styles.held, { transform: moved }]}
      {...({ onFocus: onChoose, onClick: onChoose } as object)}
    >
      <View
        ref={setActivatorNodeRef as never}
        {...(attributes as object)}
        {...(listeners as object)}
        aria-label={`Move ${name}`}
        style={[styles.handle, WEB_HANDLE]}
      >
        <Txt look="strong">⠿</Txt>
      </View>
      {/* Behind the handle: what stands at the row's end must not move away from under a finger. */}
      {chosen && (
        <>
          <Button label="↑" says={`${name} earlier`} disabled={first} onPress={() => onStep(-1)} />
          <Button label="↓" says={`${name} later`} disabled={last} onPress={() => onStep(1)} />
        </>
      )}
      {children}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: TOUCH },
  held: { backgroundColor: colour.card, zIndex: 2, boxShadow: `0 2px 10px ${colour.shade}` },
  handle: { width: 32, height: TOUCH, alignItems: 'center', justifyContent: 'center' },
});
