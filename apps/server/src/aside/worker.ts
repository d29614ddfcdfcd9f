import { joinStore } from '../db/open';
import type { Touched } from '../db/tx';
import { StashGone } from '../db/fileIdentity';
import { Refusal, stashGone } from '../services/refusal';
import { systemPorts } from '../services/ports';
import type { Progress, TaskName, Tasks } from '../services/aside';
import { TASKS } from './tasks';

/** What the process that answers requests sends, and what it is answered. */
export interface Sent {
  readonly name: TaskName;
  readonly task: Tasks[TaskName]['task'];
  readonly db: string;
  /** Which file that is: another one in its place is not opened. */
  readonly identity: string;
  readonly photos: string;
}
export type Told =
  | { readonly progress: Progress }
  | { readonly answer: unknown; readonly touched: readonly Touched[] }
  | { readonly problem: Refusal['problem'] }
  | { readonly failed: string; readonly code: string | undefined };

/** Does one piece of long work after another, each with a connection of its own. */
process.on('message', (sent: Sent) => {
  // Nobody may be there any more to hear it.
  const tell = (told: Told): void =>
    void process.send?.(told, (error: Error | null) => error && process.exit(0));
  void work(sent, (progress) => tell({ progress }))
    .catch((error: unknown): Told => {
      if (error instanceof Refusal) return { problem: error.problem };
      if (error instanceof StashGone) return { problem: stashGone(error).problem };
      return {
        failed: error instanceof Error ? (error.stack ?? error.message) : String(error),
        code: codeOf(error),
      };
    })
    .then(tell);
});
// Without the server there is nobody to work for; what is not finished is rolled back.
process.on('disconnect', () => process.exit(0));

/** The system's or the database's own word for what went wrong, so that a full disk is said as that. */
function codeOf(error: unknown): string | undefined {
  for (let at = error; at instanceof Error; at = at.cause) {
    const { code } = at as NodeJS.ErrnoException;
    if (code !== undefined) return code;
  }
  return undefined;
}

/** Where everything was replaced, nobody needs to be told of each thing. */
const briefly = (touched: Touched): Touched => (touched.all ? { ...touched, supplies: new Set() } : touched);

async function work(
  { name, task, db, identity, photos }: Sent,
  report: (progress: Progress) => void,
): Promise<Told> {
  const store = await joinStore(db, identity);
  try {
    const touched: Touched[] = [];
    store.onTouched((each) => touched.push(briefly(each)));
    // Pictures are only put where they belong here, never read.
    const keeping = { folder: photos, prepare: () => Promise.resolve('unreadable' as const) };
    const context = { store, ports: systemPorts, photos: keeping };
    const answer = await (TASKS[name] as (...given: unknown[]) => Promise<unknown>)(context, task, report);
    return { answer, touched };
  } finally {
    store.close();
  }
}
