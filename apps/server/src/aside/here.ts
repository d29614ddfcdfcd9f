import type { Aside, TaskName, Tasks } from '../services/aside';
import type { Context } from '../services/context';
import { TASKS } from './tasks';

/** Long work done in this very process: for tests and scripts, where nobody waits. */
export const asideHere = (context: Context): Aside => {
  const here = { ...context, aside: undefined as unknown as Aside };
  const aside: Aside = async <N extends TaskName>(
    name: N,
    task: Tasks[N]['task'],
    { report, signal }: Parameters<Aside>[2] = {},
  ): Promise<Tasks[N]['answer']> => {
    const work = (): Promise<Tasks[N]['answer']> =>
      TASKS[name](here, task, (progress) => {
        signal?.throwIfAborted();
        report?.(progress);
      });
    return work();
  };
  here.aside = aside;
  return aside;
};
