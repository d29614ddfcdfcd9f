/** `npm run demo`: sets up, seeds a made-up stash on the first run, and serves it. `--fresh` seeds it again. */
import { existsSync, statSync } from 'node:fs';
import { at, build, install, run } from './lib.mjs';
import { serve } from './serve.mjs';

const database = process.env.RED_SHELF_DB ?? at('data/demo.db');
install();
build();
const fresh = process.argv.includes('--fresh');
if (fresh || !existsSync(database) || statSync(database).size === 0) {
  console.log('Filling the demo room…');
  run('node', [at('apps/server/dist/seed.js'), ...(fresh ? ['--fresh'] : [])], {
    env: { RED_SHELF_DB: database },
    why: 'Filling the demo room',
  });
}
serve({ RED_SHELF_DB: database });
