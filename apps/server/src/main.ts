import { existsSync } from 'node:fs';
import { mkdir, rm, writeFile } from 'node:fs/promises';
import { dirname, join, resolve } from 'node:path';
import pino from 'pino';
import { makeApp } from './app';
import { asideProcess } from './aside/beside';
import { holdAlone, openedBeside } from './db/holdAlone';
import { openStore } from './db/open';
import { photoProcesses } from './jobs/photoProcesses';
import { copyOfToday } from './services/copies';
import { stashList, type Context } from './services/context';
import { systemPorts } from './services/ports';
import { sweepPhotos } from './services/sweep';
import { endWith, settingsOf, sayWhyNot } from './start';

const settings = settingsOf(process.env);
const log = pino({ level: settings.LOG_LEVEL });
const db = resolve(settings.RED_SHELF_DB);
const migrations = resolve(settings.RED_SHELF_MIGRATIONS);

/** The stash, held by this program alone. */
async function open() {
  try {
    await mkdir(dirname(db), { recursive: true });
    const release = await holdAlone(db);
    return { release, store: await openStore(db, migrations) };
  } catch (error) {
    return endWith(await sayWhyNot(error, db));
  }
}
const { store, release } = await open();
const photos = {
  folder: join(dirname(db), 'photos'),
  prepare: photoProcesses(new URL('./photoWorker.js', import.meta.url)),
};
const web = resolve(settings.RED_SHELF_WEB);
const aside = asideProcess(
  { store },
  { script: new URL('./worker.js', import.meta.url), db, photos: photos.folder },
);
const context: Context = { store, ports: systemPorts, photos, aside };
const app = makeApp(context, log, existsSync(join(web, 'index.html')) ? web : undefined);

// Loopback only: a stash is nobody else's business.
const server = app.listen(settings.PORT, '127.0.0.1', (error?: Error) => {
  if (error) return void sayWhyNot(error, db, settings.PORT).then(endWith);
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : settings.PORT;
  const url = `http://127.0.0.1:${port}`;
  console.log(`ready ${url}`);
  // Ready before it is first asked for; if that fails, asking will say why.
  stashList(context)
    .asJson()
    .catch((failure: unknown) => log.error({ err: failure }, 'list'));
  void writeFile(openedBeside(db), JSON.stringify({ url, pid: process.pid })).catch(() => undefined);
  void tidy();
  return undefined;
});

const TIDY_MS = 3_600_000;
/** Once a day: a copy of the stash beside it, and pictures that nothing speaks of. */
async function tidy(): Promise<void> {
  try {
    if (await copyOfToday(context, db)) await sweepPhotos(context, db);
  } catch (error) {
    log.error({ err: error }, 'the copy of today could not be made');
  }
  setTimeout(() => void tidy(), TIDY_MS).unref();
}

const stop = (): void => {
  server.close(() => {
    store.close();
    release();
    void rm(openedBeside(db), { force: true }).then(() => process.exit(0));
  });
  server.closeAllConnections();
};
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
