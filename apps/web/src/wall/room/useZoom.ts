import type { Box } from '@red-shelf/core';
import { select } from 'd3-selection';
import 'd3-transition';
import {
  zoom,
  zoomIdentity,
  zoomTransform,
  type D3ZoomEvent,
  type ZoomBehavior,
  type ZoomTransform,
} from 'd3-zoom';
import { startTransition, useEffect, useMemo, useRef, useState } from 'react';
import type { View } from 'react-native';
import { dragging } from '../carry/dragging';

/** The world is laid out at this many µm a px; zooming only moves and stretches it. */
export const UM_A_PX = 1000;
const MOST = 14;
const MARGIN_PX = 40;
const EDGE_PX = 10;
/** A unit that is gone to fills this share of the view. */
const FILLS = 0.92;
const WALK = 2.4;
const GLIDE_MS = 260;
/** The keys at the right end lie over nothing where there is room beside them. */
const KEYS = { from: 700, px: 72 };
const clearOf = ({ width }: Extent): number => (width >= KEYS.from ? width - KEYS.px : width);

export interface Seen {
  /** px on the screen for one of the world. */
  readonly k: number;
  /** What of the world is seen, µm. */
  readonly box: Box;
}
interface Extent {
  readonly width: number;
  readonly height: number;
}
const reduced = (): boolean =>
  typeof matchMedia === 'function' && matchMedia('(prefers-reduced-motion: reduce)').matches;

/** Zooming and panning of a world so many px large: by wheel, pinch, drag, double tap, and by what this answers. */
export function useZoom(world: Extent) {
  const viewRef = useRef<View>(null);
  const worldRef = useRef<View>(null);
  const [view, setView] = useState<Extent>({ width: 0, height: 0 });
  const [seen, setSeen] = useState<Seen | null>(null);
  const moving = useRef(false);
  /** Where one looks: kept when a panel takes some of the view. */
  const looked = useRef<ZoomTransform | null>(null);
  const behaviour = useRef<ZoomBehavior<HTMLElement, unknown> | null>(null);
  const fit = Math.min(clearOf(view) / (world.width + MARGIN_PX), view.height / (world.height + MARGIN_PX));
  useEffect(() => {
    const element = viewRef.current as unknown as HTMLElement | null;
    const moved = worldRef.current as unknown as HTMLElement | null;
    if (!element || !moved || !(fit > 0)) return undefined;
    moved.style.transformOrigin = '0 0';
    const keep = (event: TouchEvent): void => {
      if (dragging.now) event.stopPropagation();
    };
    moved.addEventListener('touchmove', keep);
    const made = zoom<HTMLElement, unknown>()
      .extent([
        [0, 0],
        [view.width, view.height],
      ])
      .scaleExtent([fit, MOST])
      .translateExtent([
        [-MARGIN_PX / fit, -MARGIN_PX / fit],
        [world.width + MARGIN_PX / fit, world.height + MARGIN_PX / fit],
      ])
      // By a mouse, things are dragged, and the room beside them; two fingers move the room anywhere.
      .filter(
        (event: MouseEvent) =>
          event.button === 0 &&
          (event.type !== 'mousedown' || !(event.target as Element).closest('[data-thing]')),
      )
      .on('start', () => {
        // No layer of its own while it moves: to make and to drop one so large takes longer than to draw what is seen.
        moving.current = true;
      })
      .on('zoom', ({ transform: { x, y, k } }: D3ZoomEvent<HTMLElement, unknown>) => {
        moved.style.transform = `translate(${x}px,${y}px) scale(${k})`;
      })
      .on('end', ({ transform }: D3ZoomEvent<HTMLElement, unknown>) => {
        const { x, y, k } = transform;
        looked.current = transform;
        moving.current = false;
        const um = (px: number): number => (px / k) * UM_A_PX;
        // What is drawn otherwise from near follows when the page is free.
        startTransition(() =>
          setSeen({ k, box: { x: um(-x), y: um(-y), w: um(view.width), h: um(view.height) } }),
        );
      });
    const selection = select(element).call(made);
    // On a tall screen one begins at the left end and walks along the wall.
    const high = view.height / (world.height + MARGIN_PX / fit);
    const k = view.width < view.height ? Math.max(fit, Math.min(high, fit * WALK)) : fit;
    const start = zoomIdentity
      .translate(
        k > fit ? MARGIN_PX / 2 : (clearOf(view) - world.width * k) / 2,
        (view.height - world.height * k) / 2,
      )
      .scale(k);
    made.transform(selection, looked.current && looked.current.k > fit ? looked.current : start);
    behaviour.current = made;
    // What the Tab key reaches the browser scrolls into view; the room is moved there instead, so that one place says where it is.
    const follow = (): void => {
      const { scrollLeft, scrollTop } = element;
      if (scrollLeft === 0 && scrollTop === 0) return;
      element.scrollTo(0, 0);
      const { k: now } = zoomTransform(element);
      made.translateBy(selection, -scrollLeft / now, -scrollTop / now);
    };
    element.addEventListener('scroll', follow);
    return () => {
      element.removeEventListener('scroll', follow);
      selection.on('.zoom', null);
      moved.removeEventListener('touchmove', keep);
    };
    // A room that grows by a rack does not throw the view back.
  }, [view.width, view.height, world.width, world.height, fit]);
  const acts = useMemo(() => {
    const on = (
      act: (
        made: ZoomBehavior<HTMLElement, unknown>,
        gliding: Parameters<ZoomBehavior<HTMLElement, unknown>['transform']>[0],
      ) => void,
    ): void => {
      const element = viewRef.current as unknown as HTMLElement | null;
      if (!element || !behaviour.current) return;
      const selection = select(element);
      act(behaviour.current, reduced() ? selection : selection.transition().duration(GLIDE_MS));
    };
    return {
      by: (factor: number) => on((made, gliding) => made.scaleBy(gliding, factor)),
      pan: (dx: number, dy: number) => on((made, gliding) => made.translateBy(gliding, dx, dy)),
      /**
       * Goes to a box of the world, µm; so many px at the foot of the view are covered. What is too large to be seen whole from as
       * near as it must be at least is seen from its upper left corner on.
       */
      to: ({ x, y, w, h }: Box, covered = 0, least = 0) =>
        on((made, gliding) => {
          const [px, py, pw, ph] = [x, y, w, h].map((um) => um / UM_A_PX) as [number, number, number, number];
          const wide = clearOf(view);
          const high = Math.max(view.height - covered, view.height / 5);
          const k = Math.min(MOST, Math.max(least, FILLS * Math.min(wide / pw, high / ph)));
          const from = (at: number, long: number, room: number): number =>
            long * k > room ? EDGE_PX - at * k : room / 2 - (at + long / 2) * k;
          made.transform(gliding, zoomIdentity.translate(from(px, pw, wide), from(py, ph, high)).scale(k));
        }),
    };
  }, [view]);
  return { viewRef, worldRef, setView, seen, moving, ...acts };
}
