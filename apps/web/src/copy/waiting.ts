import type { ChangeView } from '@red-shelf/contract';
import { sayChange } from './change';
import { many } from './words';

/** While nobody answers: what is shown, and how much of what was done is only here yet. */
export const sayAway = (waiting: number): string =>
  waiting === 0
    ? 'Red Shelf cannot be reached. This is the stash as it was last seen; what you log is kept here.'
    : `Red Shelf cannot be reached. ${many(waiting, 'act waits', 'acts wait')} here, and will be sent when it answers.`;

/** An act that was kept here and then refused. */
export const sayRefused = (change: ChangeView, refusal: string): string =>
  `Not done: “${sayChange(change).replace(/\.$/, '')}”. ${refusal}`;

/** Why the stash takes nothing down, by the code it answers. */
const TAKES_NOTHING: Readonly<Record<string, string>> = {
  disk_full: 'The disk that keeps the stash is full. Make room on it:',
  not_writable: 'The folder of the stash cannot be written to. Allow writing there:',
};

/** What cannot be written down is kept here meanwhile. */
export const saySaved = (code: string, waiting: number): string =>
  `${TAKES_NOTHING[code] ?? 'The stash takes nothing down at the moment:'} ${
    waiting === 1 ? 'what you did is' : `the ${waiting} things you did are`
  } kept on this device, and written down as soon as that works.`;
