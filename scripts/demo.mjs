/** `npm run demo`: sets up, seeds a made-up stash on the first run, and serves it. `--fresh` seeds it again. */
import { existsSync, rmSync } from 'node:fs';
import { at, build, install, run } from './lib.mjs';
import { serve } from './serve.mjs';

const database = process.env.RED_SHELF_DB ?? at('data/demo.db');
install();
build();
if (process.argv.includes('--fresh'))
  for (const end of ['', '-wal', '-shm']) rmSync(database + end, { force: true });
if (!existsSync(database)) {
  console.log('Filling the demo room…');
  run('node', [at('apps/server/dist/seed.js')], { env: { RED_SHELF_DB: database } });
}
serve({ RED_SHELF_DB: database });
