import { fork, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';

interface Said {
  readonly url?: string;
  readonly closed?: true;
  readonly failed?: string;
}

/** A process that serves one stash after another. */
export class Host {
  #process: ChildProcess | null = null;

  #ask(question: object): Promise<Said> {
    const host = (this.#process ??= fork(join(process.cwd(), 'e2e/host.mjs'), {
      execArgv: ['--enable-source-maps'],
      env: { ...process.env, NODE_OPTIONS: '' },
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    }));
    return new Promise((resolve, reject) => {
      const ended = (code: number | null): void => reject(new Error(`the server ended with ${code}`));
      host.once('exit', ended);
      host.once('message', (said: Said) => {
        host.off('exit', ended);
        if (said.failed === undefined) resolve(said);
        else reject(new Error(said.failed));
      });
      host.send(question);
    });
  }

  /** Opens a stash and answers its address. */
  async open(
    db: string,
    { web, share, port }: { web: string; share: string; port: number },
  ): Promise<string> {
    const settings = {
      RED_SHELF_DB: db,
      RED_SHELF_MIGRATIONS: 'apps/server/drizzle',
      RED_SHELF_WEB: web || 'apps/web/dist',
      PORT: port,
      ...(share ? { RED_SHELF_SHARE: share } : {}),
    };
    return (await this.#ask({ open: settings })).url ?? '';
  }

  /** Closes the stash as a server does that is told to end. */
  async close(): Promise<void> {
    await this.#ask({ close: true });
  }

  /** Ends the process in the middle of whatever it does. */
  async kill(): Promise<void> {
    const host = this.#process;
    this.#process = null;
    if (!host || host.exitCode !== null) return;
    const ended = new Promise((resolve) => host.once('exit', resolve));
    host.kill('SIGKILL');
    await ended;
  }
}
