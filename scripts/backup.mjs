/** `npm run backup [-- file.zip]`: the stash and its photos in one zip, also while the app is running. */
import { at, build, install, run } from './lib.mjs';

install();
build();
run('node', [at('apps/server/dist/backup.js'), ...process.argv.slice(2)], {
  env: { RED_SHELF_DB: process.env.RED_SHELF_DB ?? at('data/stash.db') },
});
