import { createWriteStream, existsSync } from 'node:fs';
import { rename, rm } from 'node:fs/promises';
import { dirname, join, resolve } from 'node:path';
import { asideHere } from './aside/here';
import { joinStore } from './db/open';
import { sendBackup, withWritten } from './services/backup';
import { systemPorts } from './services/ports';
import { settingsOf, sayWhyNot } from './start';

/** Writes a backup of a stash, also while the app is running: `node backup.js [file]`. */
const settings = settingsOf(process.env);
const db = resolve(settings.RED_SHELF_DB);
const out = resolve(process.argv[2] ?? `red-shelf-${new Date().toISOString().slice(0, 10)}.zip`);

function endWith(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

if (!existsSync(db))
  endWith(`There is no stash in ${db}. Name another place: RED_SHELF_DB=… npm run backup.`);
if (existsSync(out)) endWith(`${out} is there already. Name another file: npm run backup -- another.zip`);
try {
  const store = await joinStore(db);
  const photos = {
    folder: join(dirname(db), 'photos'),
    prepare: () => Promise.resolve('unreadable' as const),
  };
  const here = { store, ports: systemPorts, photos };
  const context = { ...here, aside: asideHere(here) };
  await withWritten(context, 'document', undefined, (document) =>
    sendBackup(context, document, createWriteStream(`${out}.part`)),
  );
  await rename(`${out}.part`, out);
  store.close();
  console.log(`Backup written: ${out}`);
} catch (error) {
  await rm(`${out}.part`, { force: true });
  endWith(await sayWhyNot(error, db));
}
