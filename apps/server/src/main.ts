import { existsSync } from 'node:fs';
import { mkdir, rm, writeFile } from 'node:fs/promises';
import { networkInterfaces } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import pino from 'pino';
import { localDoor, makeInside } from './app';
import { asideProcess } from './aside/beside';
import { readerProcess } from './aside/reader';
import { holdAlone } from './db/holdAlone';
import { openedBeside } from './db/ownFiles';
import { readOnce } from './http/route';
import { routesUnderWay, untilQuiet } from './http/underWay';
import { openStore } from './db/open';
import { photoProcesses } from './jobs/photoProcesses';
import { colourNames } from './services/colourNames';
import { copyOfToday } from './services/copies';
import { stashList, type Context } from './services/context';
import { systemPorts } from './services/ports';
import { hasPhotos } from './services/sweep';
import { sweepTempFolders } from './services/tempFolder';
import { chosenAddresses } from './share/addresses';
import { shareDoor } from './share/door';
import { Sharing } from './share/sharing';
import { saidOfSharing } from './share/terminal';
import { endWith, settingsOf, sayWhyNot } from './start';

/** Nobody has asked anything for so long: the first screen is served, ms. */
const QUIET_MS = 2500;

const settings = settingsOf(process.env);
const log = pino({ level: settings.LOG_LEVEL });
// One answer that went wrong ends that answer: the others, and what was acknowledged, must not suffer for it.
process.on('unhandledRejection', (reason) =>
  log.error({ err: reason, during: routesUnderWay() }, 'unhandled'),
);
const db = resolve(settings.RED_SHELF_DB);
const migrations = resolve(settings.RED_SHELF_MIGRATIONS);

/** The stash, held by this program alone. */
async function open() {
  try {
    await mkdir(dirname(db), { recursive: true, mode: 0o700 });
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
const reader = readerProcess({ store }, new URL('./readerProcess.js', import.meta.url), { db });
const context: Context = { store, ports: systemPorts, photos, aside, reader };
const inside = makeInside(context, log, existsSync(join(web, 'index.html')) ? web : undefined);
const { RED_SHELF_SHARE: asked } = settings;
const sharing =
  asked === undefined
    ? undefined
    : new Sharing(db, chosenAddresses(asked, networkInterfaces()), systemPorts, () => saySharing());

// Loopback only, unless sharing was asked for: a stash is nobody else's business.
const server = localDoor(inside, log, sharing).listen(settings.PORT, '127.0.0.1', (error?: Error) => {
  if (error) return void sayWhyNot(error, db, settings.PORT).then(endWith);
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : settings.PORT;
  url = `http://127.0.0.1:${port}`;
  console.log(`ready ${url}`);
  void share(port);
  // Ready before it is first asked for; if that fails, asking will say why.
  stashList(context)
    .asJson()
    .then(() => warmUp())
    .catch((failure: unknown) => log.error({ err: failure }, 'list'));
  void writeFile(openedBeside(db), JSON.stringify({ url, pid: process.pid })).catch(() => undefined);
  void sweepTempFolders().catch((failure: unknown) => log.warn({ err: failure }, 'temp folders'));
  void tidy();
  return undefined;
});
// A page that rests a while still finds its line open: one that is closed the moment it asks again is an answer lost.
server.keepAliveTimeout = 75_000;

/** Once nobody is waiting for anything: what gaps and figures are worked out of is read, and kept. */
async function warmUp(): Promise<void> {
  await untilQuiet(QUIET_MS);
  await readOnce();
  await colourNames();
  // Each takes seconds the first time, and who asks meanwhile would wait for it.
  for (const what of ['gaps', 'figures'] as const) {
    await untilQuiet(QUIET_MS);
    await reader(what);
  }
}

let url = '';
/** Opens the door of the house's network, if that was asked for. */
async function share(port: number): Promise<void> {
  if (!sharing) return;
  try {
    await sharing.begin(port, shareDoor(sharing, inside, log));
    if (settings.RED_SHELF_PASSPHRASE) await sharing.ensurePassphrase(settings.RED_SHELF_PASSPHRASE);
    if (sharing.view().state !== 'on') saySharing();
  } catch (error) {
    log.error({ err: error }, 'share');
    console.error(`Not shared. ${await sayWhyNot(error, db)}`);
  }
}
function saySharing(): void {
  if (sharing) console.log(saidOfSharing(sharing.view(), url));
}

const TIDY_MS = 3_600_000;
/** Once a day: a copy of the stash beside it, and pictures that nothing speaks of. */
async function tidy(): Promise<void> {
  try {
    if ((await copyOfToday(context, db)) && (await hasPhotos(photos.folder))) await aside('sweep', { db });
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
  void sharing?.close();
};
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
