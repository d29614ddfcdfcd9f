import { figuresNow } from './figures';
import { gapsNow } from './gaps';
import type { Context } from './context';
import type { Answers } from './reading';

const ANSWERS: Readonly<Record<Answers, (context: Context) => Promise<unknown>>> = {
  gaps: gapsNow,
  figures: figuresNow,
};

/** Works one of them out here. */
export const readHere = async (context: Context, what: Answers): Promise<Buffer> =>
  Buffer.from(JSON.stringify(await ANSWERS[what](context)));
