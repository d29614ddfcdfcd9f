import type { Href } from 'expo-router';
import type { IconName } from './Icon';

export interface AppPlace {
  readonly href: Href;
  readonly path: string;
  readonly label: string;
  readonly icon: IconName;
}

/** Where the work is done: in a bar at the foot of a phone, in a rail on a wide screen. */
export const PLACES: readonly AppPlace[] = [
  { href: '/', path: '/', label: 'Wall', icon: 'wall' },
  { href: '/stash', path: '/stash', label: 'Stash', icon: 'stash' },
  { href: '/arrange', path: '/arrange', label: 'Arrange', icon: 'arrange' },
  { href: '/bench', path: '/bench', label: 'Bench', icon: 'bench' },
  { href: '/gaps', path: '/gaps', label: 'Gaps', icon: 'gaps' },
];

/** What is needed now and then: behind a menu at the page head, or at the foot of the rail. */
export const MENU: readonly AppPlace[] = [
  { href: '/guide', path: '/guide', label: 'Guide', icon: 'guide' },
  { href: '/data', path: '/data', label: 'Data', icon: 'data' },
  { href: '/journal', path: '/journal', label: 'What happened', icon: 'undo' },
  { href: '/settings', path: '/settings', label: 'Settings', icon: 'settings' },
];

/** Screens of the wall that have addresses of their own. */
const ON_THE_WALL = ['/rack', '/storage', '/elsewhere'];

/** Whether a screen is a place, or below it. */
export const isAt = ({ path }: AppPlace, here: string): boolean =>
  path === '/' ? here === '/' || ON_THE_WALL.includes(here) : here === path || here.startsWith(`${path}/`);

/** The place a screen is below; undefined for a place itself. */
export function placeAbove(here: string): AppPlace | undefined {
  const place = [...PLACES, ...MENU].find((each) => isAt(each, here));
  return place?.path === here ? undefined : place;
}
