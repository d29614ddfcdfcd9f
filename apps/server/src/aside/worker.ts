import { openStore } from '../db/open';
import type { Touched } from '../db/tx';
import { Refusal } from '../services/refusal';
import { systemPorts } from '../services/ports';
import type { Progress, TaskName, Tasks } from '../services/aside';
import { TASKS } from './tasks';

/** What the process that answers requests sends, and what it is answered. */
export interface Sent {
  readonly name: TaskName;
  readonly task: Tasks[TaskName]['task'];
  readonly db: string;
  readonly migrations: string;
  readonly photos: string;
}
export type Told =
  | { readonly progress: Progress }
  | { readonly answer: unknown; readonly touched: readonly Touched[] }
  | { readonly problem: Refusal['problem'] }
  | { readonly failed: string };

/** Does one piece of long work with a connection of its own, and ends. */
process.once('message', (sent: Sent) => {
  const tell = (told: Told): Promise<void> =>
    new Promise((done) => {
      if (process.send) process.send(told, undefined, undefined, () => done());
      else done();
    });
  void work(sent, (progress) => void tell({ progress }))
    .catch((error: unknown): Told => {
      if (error instanceof Refusal) return { problem: error.problem };
      return { failed: error instanceof Error ? (error.stack ?? error.message) : String(error) };
    })
    .then(tell)
    .finally(() => process.exit(0));
});
// Without the server there is nobody to work for; what is not finished is rolled back.
process.on('disconnect', () => process.exit(0));

async function work(
  { name, task, db, migrations, photos }: Sent,
  report: (p: Progress) => void,
): Promise<Told> {
  const store = await openStore(db, migrations);
  const touched: Touched[] = [];
  store.onTouched((each) => touched.push(each));
  // Pictures are only moved here, never read.
  const keeping = { folder: photos, prepare: () => Promise.resolve('unreadable' as const) };
  const context = { store, ports: systemPorts, photos: keeping };
  const answer = await (TASKS[name] as (...given: unknown[]) => Promise<unknown>)(context, task, report);
  store.close();
  return { answer, touched };
}
