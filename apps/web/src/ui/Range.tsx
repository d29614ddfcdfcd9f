import { createElement, type ChangeEvent } from 'react';
import { colour, TOUCH } from '../theme/tokens';

interface RangeProps {
  readonly label: string;
  readonly value: number;
  readonly most: number;
  readonly step: number;
  readonly onChange: (value: number) => void;
  /** What the value means, read out instead of the number. */
  readonly says?: string;
}

/** The browser's own slider: dragged, tapped, or moved with the arrow keys. */
export const Range = ({ label, value, most, step, onChange, says }: RangeProps) =>
  createElement('input', {
    type: 'range',
    min: 0,
    max: most,
    step,
    value,
    'aria-label': label,
    'aria-valuetext': says,
    onChange: (event: ChangeEvent<HTMLInputElement>) => onChange(Number(event.target.value)),
    style: { width: '100%', height: TOUCH, margin: 0, accentColor: colour.action },
  });
