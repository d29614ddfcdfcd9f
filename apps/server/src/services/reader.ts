import { figuresNow } from './figures';
import { gapsNow } from './gaps';
import type { Context } from './context';

/** What is worked out of the whole stash and its history. */
const ANSWERS = { gaps: gapsNow, figures: figuresNow } as const;
export type Answers = keyof typeof ANSWERS;

/** Reads and works out one of them, and answers it as JSON, UTF-8; wherever that is done. */
export type Reader = (what: Answers) => Promise<Buffer>;

/** Works it out here. */
export const readHere = async (context: Context, what: Answers): Promise<Buffer> =>
  Buffer.from(JSON.stringify(await ANSWERS[what](context)));
