import { existsSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import pino from 'pino';
import { z } from 'zod';
import { makeApp } from './app';
import { openStore } from './db/open';
import { asideProcess } from './aside/beside';
import { photoProcesses } from './jobs/photoProcesses';
import { stashList } from './services/context';
import { systemPorts } from './services/ports';

/** Settings from the environment; paths are taken from the folder the server is started in. */
const settings = z
  .object({
    RED_SHELF_DB: z.string().default('data/stash.db'),
    RED_SHELF_MIGRATIONS: z.string().default('apps/server/drizzle'),
    RED_SHELF_WEB: z.string().default('apps/web/dist'),
    PORT: z.coerce.number().int().min(0).max(65535).default(4310),
    LOG_LEVEL: z.enum(['fatal', 'error', 'warn', 'info', 'debug', 'silent']).default('warn'),
  })
  .parse(process.env);

const log = pino({ level: settings.LOG_LEVEL });
const db = resolve(settings.RED_SHELF_DB);
const store = await openStore(db, resolve(settings.RED_SHELF_MIGRATIONS));
const photos = {
  folder: join(dirname(db), 'photos'),
  prepare: photoProcesses(new URL('./photoWorker.js', import.meta.url)),
};
const web = resolve(settings.RED_SHELF_WEB);
const aside = asideProcess(
  { store },
  { script: new URL('./worker.js', import.meta.url), db, photos: photos.folder },
);
const context = { store, ports: systemPorts, photos, aside };
const app = makeApp(context, log, existsSync(join(web, 'index.html')) ? web : undefined);

// Loopback only: a stash is nobody else's business.
const server = app.listen(settings.PORT, '127.0.0.1', (error?: Error) => {
  if (error) {
    console.error(`Red Shelf could not start: ${error.message}`);
    process.exit(1);
  }
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : settings.PORT;
  console.log(`ready http://127.0.0.1:${port}`);
  // Ready before it is first asked for; if that fails, asking will say why.
  stashList(context)
    .asJson()
    .catch((failure: unknown) => log.error({ err: failure }, 'list'));
});

const stop = (): void => {
  server.close(() => {
    store.close();
    process.exit(0);
  });
  server.closeAllConnections();
};
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
