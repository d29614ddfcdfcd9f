import { spawn, type ChildProcess } from 'node:child_process';

/** Starts a server in a process of its own and waits until it says where it answers. `args` are Node's. */
export async function startServer(
  args: readonly string[],
  settings: {
    readonly cwd: string;
    readonly db: string;
    readonly port?: string;
    readonly web?: string;
    readonly share?: string;
  },
): Promise<{ process: ChildProcess; url: string }> {
  const server = spawn(process.execPath, args, {
    cwd: settings.cwd,
    env: {
      ...process.env,
      RED_SHELF_DB: settings.db,
      PORT: settings.port ?? '0',
      NODE_OPTIONS: '',
      ...(settings.share ? { RED_SHELF_SHARE: settings.share } : {}),
      ...(settings.web ? { RED_SHELF_WEB: settings.web } : {}),
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const url = await new Promise<string>((ready, fail) => {
    server.stdout.on('data', (text: Buffer) => {
      const found = /ready (http:\S+)/.exec(text.toString());
      if (found?.[1]) ready(found[1]);
    });
    server.on('exit', () => fail(new Error('the server ended before it was ready')));
  });
  return { process: server, url };
}
