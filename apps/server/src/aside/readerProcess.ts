import { joinStore, type Store } from '../db/open';
import type { Touched } from '../db/tx';
import { readHere } from '../services/reader';
import type { Answers } from '../services/reading';
import { systemPorts } from '../services/ports';

/** Which stash is read. */
export interface ReaderPlace {
  readonly db: string;
  readonly identity: string;
}
/** What the process that answers requests says: first where, then what changed and what is asked, in that order. */
export type Heard =
  | { readonly place: ReaderPlace }
  | { readonly touched: Touched }
  | { readonly id: number; readonly what: Answers };
export type ReaderSays =
  { readonly id: number; readonly json: Uint8Array } | { readonly id: number; readonly failed: string };

let opened: Promise<Store> | undefined;
const listeners: ((touched: Touched) => void)[] = [];

/** The log is carried over into the file once nothing was changed or asked for so long, and at the latest so long after a change; ms. */
const QUIET_MS = 1000;
const LATEST_MS = 4000;
let carrying: ReturnType<typeof setTimeout> | undefined;
let latest = Infinity;
/**
 * Done here, where seldom anybody waits: the disk may take its time. What fails now is tried again with the next change, and in
 * the end by SQLite itself.
 */
function carryOverWhenQuiet(): void {
  clearTimeout(carrying);
  carrying = setTimeout(
    () => {
      latest = Infinity;
      void opened?.then(({ carryOver }) => carryOver()).catch(() => undefined);
    },
    Math.max(0, Math.min(QUIET_MS, latest - Date.now())),
  ).unref();
}

async function answer(id: number, what: Answers): Promise<ReaderSays> {
  try {
    const store = await opened;
    if (!store) throw new Error('Asked before it was said where the stash is');
    return { id, json: await readHere({ store, ports: systemPorts }, what) };
  } catch (error) {
    return { id, failed: error instanceof Error ? (error.stack ?? error.message) : String(error) };
  }
}

process.on('message', (heard: Heard) => {
  if ('place' in heard)
    opened = joinStore(heard.place.db, heard.place.identity).then((store) => ({
      ...store,
      // Others write; what they touched is told from there.
      onTouched: (hear) => listeners.push(hear),
    }));
  else if ('touched' in heard) {
    for (const hear of listeners) hear(heard.touched);
    latest = Math.min(latest, Date.now() + LATEST_MS);
    carryOverWhenQuiet();
  } else {
    if (latest < Infinity) carryOverWhenQuiet();
    void answer(heard.id, heard.what).then((said) =>
      // Nobody may be there any more to hear it.
      process.send?.(said, (error: Error | null) => error && process.exit(0)),
    );
  }
});
// Without the server there is nobody to read for.
process.on('disconnect', () => process.exit(0));
