import { DndContext, DragOverlay, useDraggable, useSensor, useSensors } from '@dnd-kit/core';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { useContents } from '../../api/contents';
import type { Stash } from '../../api/queries';
import type { SlotChoice } from '../../draw/UnitBlock';
import { Swatch } from '../../ui/Swatch';
import { lift, useCarried } from './carried';
import { dragging } from './dragging';
import { pointedAt } from './pointedAt';
import { ThingMouse, ThingTouch } from './sensors';
import { positionIn, usePointer } from './usePointer';

interface DragGroundProps {
  readonly stash: Stash | undefined;
  readonly onAim: (choice: SlotChoice | null) => void;
  /** It was let go over a place that one points at. */
  readonly onDrop: () => void;
  readonly children: ReactNode;
}

/** A press this long takes hold on a touch screen, so that a swipe still scrolls. */
const HOLD_MS = 300;
const SLIP_PX = 8;

/** Where things can be dragged: what is taken hold of is in hand, and goes where it is let go if the place takes it. */
export function DragGround({ stash, onAim, onDrop, children }: DragGroundProps) {
  const sensors = useSensors(
    useSensor(ThingMouse, { activationConstraint: { distance: SLIP_PX } }),
    useSensor(ThingTouch, { activationConstraint: { delay: HOLD_MS, tolerance: SLIP_PX } }),
  );
  const contents = useContents(stash);
  const carried = useCarried(stash);
  const [shown, setShown] = useState<{ hex: string; lotId: string } | null>(null);
  const pointer = usePointer();
  // Known at once, also where the page is too busy to draw between two events.
  const holds = useRef(false);
  const aimed = useRef<SlotChoice | null>(null);
  const units = stash?.wall.units ?? [];
  const under = (): SlotChoice | null =>
    pointer.current && pointedAt(pointer.current.x, pointer.current.y, units, contents);
  const end = (): void => {
    dragging.now = false;
    holds.current = false;
    setShown(null);
  };
  return (
    <DndContext
      sensors={sensors}
      onDragStart={({ activatorEvent }) => {
        dragging.now = true;
        // What was pressed is taken, however far the hand has moved since.
        const from = positionIn(activatorEvent);
        const at = from && pointedAt(from.x, from.y, units, contents);
        const living = at && contents.get(at.unitId)?.[at.slot];
        setShown(living ? { hex: living.supply.hex, lotId: living.lot.id } : null);
        holds.current = Boolean(living);
        aimed.current = null;
        // It follows the finger first; the panel is drawn after that. Both at once would make the finger wait.
        if (living) setTimeout(() => lift(living.lot.id));
      }}
      onDragMove={() => {
        if (!holds.current) return;
        const at = under();
        const before = aimed.current;
        if (at?.unitId === before?.unitId && at?.slot === before?.slot) return;
        aimed.current = at;
        onAim(at);
      }}
      onDragEnd={() => {
        const at = holds.current && under();
        end();
        if (!at) return;
        onAim(at);
        onDrop();
      }}
      onDragCancel={end}
    >
      <Ground>{children}</Ground>
      <DragOverlay dropAnimation={null}>
        {shown && (
          <Swatch
            hex={shown.hex}
            group={carried.find(({ lot }) => lot.id === shown.lotId)?.supply.group ?? 'neutral'}
            size={44}
          />
        )}
      </DragOverlay>
    </DndContext>
  );
}

function Ground({ children }: { readonly children: ReactNode }) {
  const { setNodeRef, listeners: { onTouchStart, ...listeners } = {} } = useDraggable({ id: 'wall' });
  const ground = useRef<HTMLElement | null>(null);
  const touched = useRef(onTouchStart);
  useEffect(() => {
    touched.current = onTouchStart;
  });
  // Heard on its way down: what moves the room keeps a touch to itself once it has it.
  useEffect(() => {
    const node = ground.current;
    const hear = (nativeEvent: TouchEvent): unknown => touched.current?.({ nativeEvent });
    node?.addEventListener('touchstart', hear, { capture: true, passive: true });
    return () => node?.removeEventListener('touchstart', hear, { capture: true });
  }, []);
  return (
    <View
      ref={(view) => {
        ground.current = view as unknown as HTMLElement | null;
        setNodeRef(ground.current);
      }}
      style={{ flex: 1, minHeight: 0, minWidth: 0 }}
      {...listeners}
    >
      {children}
    </View>
  );
}
