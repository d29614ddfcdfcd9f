import Svg, { Path } from 'react-native-svg';
import { colour } from '../theme/tokens';

/** The app's own few icons, 24 × 24, drawn with one stroke. */
const PATHS = {
  wall: 'M3 4h18v16H3zM3 9.3h18M3 14.6h18M9 4v5.3M15 9.3v5.3M8 14.6V20',
  stash: 'M4 4h7v7H4zM13 4h7v7h-7zM4 13h7v7H4zM13 13h7v7h-7z',
  arrange: 'M4 8h13l-3-3M20 16H7l3 3',
  gaps: 'M3 6h5M12 6h9M3 12h11M18 12h3M3 18h3M10 18h11',
  data: 'M12 3v11m-4-4 4 4 4-4M4 17v3h16v-3',
  bench: 'M3 9h18M5 9v10M19 9v10M8 9V5h8v4M5 14h14',
  guide: 'M5 4h9a4 4 0 0 1 4 4v12H9a4 4 0 0 1-4-4zM5 16a4 4 0 0 1 4-4h9',
  settings: 'M4 7h10M18 7h2M4 17h2M10 17h10M14 4.500v5M6 14.500v5',
  menu: 'M4 7h16M4 12h16M4 17h16',
  search: 'M10.5 4a6.5 6.5 0 1 0 0 13 6.5 6.5 0 0 0 0-13zM15.5 15.5 21 21',
  plus: 'M12 5v14M5 12h14',
  close: 'M6 6l12 12M18 6 6 18',
  back: 'M15 5l-7 7 7 7',
  next: 'M9 5l7 7-7 7',
  warn: 'M12 4 2.5 20h19zM12 10v5M12 17.2v.6',
  check: 'M5 12.5l4.5 4.5L19 7.5',
  undo: 'M9 7H4V2M4.5 7A8.5 8.5 0 1 1 4 14.500',
} as const;
export type IconName = keyof typeof PATHS;

export const isIconName = (name: unknown): name is IconName => typeof name === 'string' && name in PATHS;

interface IconProps {
  readonly name: IconName;
  readonly size?: number;
  readonly tint?: string;
}

export function Icon({ name, size = 24, tint = colour.text }: IconProps) {
  return (
    <Svg width={size} height={size} viewBox="0 0 24 24" aria-hidden>
      <Path
        d={PATHS[name]}
        stroke={tint}
        strokeWidth={1.9}
        fill="none"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </Svg>
  );
}
