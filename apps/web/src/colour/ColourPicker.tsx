import { createElement, type ChangeEvent } from 'react';
import { radius, TOUCH } from '../theme/tokens';

interface ColourPickerProps {
  readonly hex: string;
  readonly onPick: (hex: string) => void;
}

/** The browser's own colour picker. */
export function ColourPicker({ hex, onPick }: ColourPickerProps) {
  return createElement('input', {
    type: 'color',
    value: hex,
    'aria-label': 'Pick a colour',
    onChange: (event: ChangeEvent<HTMLInputElement>) => onPick(event.target.value),
    style: {
      width: TOUCH,
      height: TOUCH,
      padding: 2,
      borderRadius: radius.s,
      background: 'none',
      border: 'none',
    },
  });
}
