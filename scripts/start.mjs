/** `npm start`: your own stash, empty at first, in data/stash.db. */
import { build, install } from './lib.mjs';
import { serve } from './serve.mjs';

install();
build();
serve({ RED_SHELF_DB: process.env.RED_SHELF_DB ?? 'data/stash.db' });
