import { existsSync } from 'node:fs';
import { mkdir, rm, writeFile } from 'node:fs/promises';
import { networkInterfaces } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import type { Logger } from 'pino';
import { localDoor, makeInside } from './app';
import { asideProcess } from './aside/beside';
import { readerProcess } from './aside/reader';
import { holdAlone } from './db/holdAlone';
import { openedBeside } from './db/ownFiles';
import { openStore } from './db/open';
import { housekeeping } from './housekeeping';
import { photoProcesses } from './jobs/photoProcesses';
import { stashList, type Context } from './services/context';
import { systemPorts } from './services/ports';
import { sweepTempFolders } from './services/tempFolder';
import { chosenAddresses } from './share/addresses';
import { shareDoor } from './share/door';
import { Sharing } from './share/sharing';
import { notShared, saidOfSharing } from './share/terminal';
import { sayWhyNot, type Settings } from './start';

/** A stash that is served: where it answers, and how it is ended, with all its files closed. */
export interface Served {
  readonly url: string;
  readonly close: () => Promise<void>;
}

/** The stash, held by this program alone. */
async function open(db: string, migrations: string) {
  try {
    await mkdir(dirname(db), { recursive: true, mode: 0o700 });
    const release = await holdAlone(db);
    return { release, store: await openStore(db, migrations) };
  } catch (error) {
    throw new Error(await sayWhyNot(error, db), { cause: error });
  }
}

/** Opens a stash and answers for it. Throws an error whose message says why it cannot, and what to do. */
export async function serve(settings: Settings, log: Logger): Promise<Served> {
  const db = resolve(settings.RED_SHELF_DB);
  const { store, release } = await open(db, resolve(settings.RED_SHELF_MIGRATIONS));
  const ending = new AbortController();
  const photos = {
    folder: join(dirname(db), 'photos'),
    prepare: photoProcesses(new URL('./photoWorker.js', import.meta.url)),
  };
  const beside = { store, ended: ending.signal };
  const aside = asideProcess(beside, {
    script: new URL('./worker.js', import.meta.url),
    db,
    photos: photos.folder,
  });
  const reader = readerProcess(beside, new URL('./readerProcess.js', import.meta.url), { db });
  const context: Context = { store, ports: systemPorts, photos, aside, reader };
  const web = resolve(settings.RED_SHELF_WEB);
  const inside = makeInside(context, log, existsSync(join(web, 'index.html')) ? web : undefined);
  const { RED_SHELF_SHARE: asked, RED_SHELF_PASSPHRASE: passphrase } = settings;
  let url = '';
  const saySharing = (): void => {
    if (sharing) console.log(saidOfSharing(sharing.view(), url));
  };
  const sharing =
    asked === undefined
      ? undefined
      : new Sharing(db, chosenAddresses(asked, networkInterfaces()), systemPorts, saySharing);
  /** Opens the door of the house's network, if that was asked for. */
  const share = async (port: number): Promise<void> => {
    if (!sharing) return;
    try {
      await sharing.begin(port, shareDoor(sharing, inside, log));
      if (passphrase) await sharing.ensurePassphrase(passphrase);
      if (sharing.view().state !== 'on') saySharing();
    } catch (error) {
      log.error({ err: error }, 'share');
      console.error(notShared(await sayWhyNot(error, db)));
    }
  };

  // Loopback only, unless sharing was asked for: a stash is nobody else's business.
  const server = localDoor(inside, log, sharing).listen(settings.PORT, '127.0.0.1');
  // A page that rests a while still finds its line open: one that is closed the moment it asks again is an answer lost.
  server.keepAliveTimeout = 75_000;
  const failed = await new Promise<Error | undefined>((go) => {
    server.once('listening', () => go(undefined));
    server.once('error', go);
  });
  if (failed) {
    store.close();
    release();
    throw new Error(await sayWhyNot(failed, db, settings.PORT), { cause: failed });
  }
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : settings.PORT;
  url = `http://127.0.0.1:${port}`;
  console.log(`ready ${url}`);
  void share(port);
  const { warmUp, tidy } = housekeeping(context, db, log, ending.signal);
  // Ready before it is first asked for; if that fails, asking will say why.
  stashList(context)
    .asJson()
    .then(() => warmUp())
    .catch((failure: unknown) => log.error({ err: failure }, 'list'));
  void writeFile(openedBeside(db), JSON.stringify({ url, pid: process.pid })).catch(() => undefined);
  void sweepTempFolders().catch((failure: unknown) => log.warn({ err: failure }, 'temp folders'));
  void tidy();

  const close = async (): Promise<void> => {
    ending.abort();
    const closed = new Promise((resolve) => server.close(resolve));
    server.closeAllConnections();
    void sharing?.close();
    await closed;
    store.close();
    release();
    await rm(openedBeside(db), { force: true });
  };
  return { url, close };
}
