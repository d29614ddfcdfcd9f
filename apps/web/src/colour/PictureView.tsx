import type { Spot } from '@red-shelf/core';
import { createElement, useEffect, useRef, type KeyboardEvent, type MouseEvent } from 'react';
import { schemes, radius } from '../theme/tokens';

interface PictureViewProps {
  readonly image: HTMLCanvasElement;
  readonly label: string;
  readonly spots: readonly { readonly spot: Spot; readonly mark: string }[];
  readonly onTap: (x: number, y: number) => void;
}

const STEP = 10;

/** A picture that is tapped for a colour; with the keyboard, arrows move the cross and Enter taps. */
export function PictureView({ image, label, spots, onTap }: PictureViewProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const cross = useRef({ x: image.width / 2, y: image.height / 2 });
  const draw = (withCross: boolean): void => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    context.drawImage(image, 0, 0);
    context.lineWidth = Math.max(2, image.width / 200);
    context.font = `bold ${Math.round(image.width / 28)}px sans-serif`;
    const ring = (x: number, y: number, r: number): void => {
      for (const [stroke, grow] of [
        [schemes.light.card, 2],
        [schemes.light.text, 0],
      ] as const) {
        context.strokeStyle = stroke;
        context.beginPath();
        context.arc(x, y, r + grow, 0, 2 * Math.PI);
        context.stroke();
      }
    };
    for (const { spot, mark } of spots) {
      ring(spot.x, spot.y, spot.radius);
      context.fillStyle = schemes.light.text;
      context.fillText(mark, spot.x + spot.radius + 4, spot.y);
    }
    if (withCross) ring(cross.current.x, cross.current.y, 6);
  };
  useEffect(() => draw(false));
  const tap = (event: MouseEvent<HTMLCanvasElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    const scale = image.width / box.width;
    onTap((event.clientX - box.left) * scale, (event.clientY - box.top) * scale);
  };
  const move = (event: KeyboardEvent): void => {
    const at = cross.current;
    const by: Partial<Record<string, readonly [number, number]>> = {
      ArrowLeft: [-STEP, 0],
      ArrowRight: [STEP, 0],
      ArrowUp: [0, -STEP],
      ArrowDown: [0, STEP],
    };
    const step = by[event.key];
    if (event.key === 'Enter') onTap(at.x, at.y);
    else if (step) {
      cross.current = {
        x: Math.min(image.width, Math.max(0, at.x + step[0])),
        y: Math.min(image.height, Math.max(0, at.y + step[1])),
      };
      draw(true);
    } else return;
    event.preventDefault();
  };
  return createElement('canvas', {
    ref: canvas,
    width: image.width,
    height: image.height,
    tabIndex: 0,
    role: 'button',
    'aria-label': label,
    onClick: tap,
    onKeyDown: move,
    style: { width: '100%', borderRadius: radius.s, cursor: 'crosshair', touchAction: 'manipulation' },
  });
}
