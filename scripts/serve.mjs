/** Starts the built server in the foreground and ends when it ends. */
import { spawn } from 'node:child_process';
import { at, ROOT } from './lib.mjs';

/** `--share` opens it to the house's network, `--share=192.168.1.20` on one address of this computer. */
function shareAsked() {
  const asked = process.argv.find((each) => /^--share(=|$)/.test(each));
  return asked ? { RED_SHELF_SHARE: asked.slice('--share='.length) || 'house' } : {};
}

export function serve(env) {
  const server = spawn(process.execPath, ['--enable-source-maps', at('apps/server/dist/main.js')], {
    cwd: ROOT,
    env: { ...process.env, ...shareAsked(), ...env },
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
