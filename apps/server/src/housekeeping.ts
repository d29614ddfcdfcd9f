import type { Logger } from 'pino';
import { readOnce } from './http/route';
import { untilQuiet } from './http/underWay';
import { colourNames } from './services/colourNames';
import { copyOfToday } from './services/copies';
import { asideOf } from './services/aside';
import type { Context } from './services/context';
import { hasPhotos } from './services/sweep';

/** Nobody has asked anything for so long: the first screen is served, ms. */
const QUIET_MS = 2500;
const TIDY_MS = 3_600_000;
/** However much is asked, the copy of today is made within this time, ms. */
const COPY_WITHIN_MS = 60_000;

/** What a server does by itself, and when. It begins nothing more once `ended`; `context` is whole, with its photos and reader. */
export function housekeeping(context: Context, db: string, log: Logger, ended: AbortSignal) {
  /** Once nobody is waiting for anything: what gaps and figures are worked out of is read, and kept. */
  const warmUp = async (): Promise<void> => {
    await untilQuiet(QUIET_MS);
    if (ended.aborted) return;
    await readOnce();
    await colourNames();
    // Each takes seconds the first time, and who asks meanwhile would wait for it.
    for (const what of ['gaps', 'figures'] as const) {
      await untilQuiet(QUIET_MS);
      if (ended.aborted) return;
      await context.reader?.(what);
    }
  };

  /** Once a day: a copy of the stash beside it, and pictures that nothing speaks of. Whoever opens the app is served first. */
  const tidy = async (): Promise<void> => {
    await untilQuiet(QUIET_MS, COPY_WITHIN_MS);
    if (ended.aborted) return;
    try {
      if ((await copyOfToday(context, db)) && context.photos && (await hasPhotos(context.photos.folder)))
        await asideOf(context)('sweep', { db });
    } catch (error) {
      log.error({ err: error }, 'the copy of today could not be made');
    }
    setTimeout(() => void tidy(), TIDY_MS).unref();
  };
  return { warmUp, tidy };
}
