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

/** What cannot be written down is kept here meanwhile. */
export const saySaved = (because: string, waiting: number): string =>
  `${because} ${waiting === 1 ? 'What you did is' : `The ${waiting} things you did are`} kept on this device and done as soon as there is room.`;
