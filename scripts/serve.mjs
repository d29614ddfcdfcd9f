/** Starts the built server in the foreground and ends when it ends. */
import { spawn } from 'node:child_process';
import { at, ROOT } from './lib.mjs';

export function serve(env) {
  const server = spawn(process.execPath, ['--enable-source-maps', at('apps/server/dist/main.js')], {
    cwd: ROOT,
    env: { ...process.env, ...env },
    stdio: 'inherit',
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', (code) => process.exit(code ?? 0));
}
