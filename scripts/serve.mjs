/** Starts the built server in the foreground and ends when it ends. */
import { spawn } from 'node:child_process';
import { at, ROOT } from './lib.mjs';

export function serve(env) {
  const server = spawn(process.execPath, ['--enable-source-maps', at('apps/server/dist/main.js')], {
    cwd: ROOT,
    env: { ...process.env, ...env },
    stdio: 'inherit',
  });
  let asked = false;
  for (const signal of ['SIGINT', 'SIGTERM'])
    process.on(signal, () => {
      asked = true;
      server.kill(signal);
    });
  // Killed is not ended well.
  server.on('exit', (code, signal) =>
    process.exit(code ?? (asked ? 0 : 128 + (signal === 'SIGKILL' ? 9 : 15))),
  );
}
