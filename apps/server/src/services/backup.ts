import { mkdir, readdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Readable, Writable } from 'node:stream';
import { MOST_DOCUMENT_BYTES } from '@red-shelf/contract';
import yauzl from 'yauzl';
import yazl from 'yazl';
import { writeDurably } from '../db/durably';
import { sendStream } from './sendStream';
import { inTempFolder } from './tempFolder';
import { asideOf, type Report } from './aside';
import type { Context } from './context';
import { isJpeg, PHOTO_FILE } from './photos';
import { Refusal } from './refusal';

/** A backup is a zip: the document, and the pictures as they are. */
const DOCUMENT = 'stash.json';
const PHOTOS = 'photos/';
/** Pictures are made ready before they are kept: none is nearly so large. */
const MOST_PHOTO = 30 * 1024 * 1024;
const MOST_PHOTOS = 200_000;
/** So many times its packed size a picture may be at most. */
const MOST_SWELL = 4;

/** Has the stash written into a file, which is there while `work` needs it; `signal` breaks it off. */
export const withWritten = (
  context: Context,
  what: 'document' | 'csv',
  signal: AbortSignal | undefined,
  work: (file: string) => Promise<void>,
): Promise<void> =>
  inTempFolder('out', async (folder) => {
    const file = join(folder, DOCUMENT);
    await asideOf(context)(what, { file }, { signal });
    await work(file);
  });

const photoNames = async (folder: string): Promise<string[]> =>
  (await readdir(folder).catch(() => [])).filter((name) => PHOTO_FILE.test(name)).sort();

/** Sends a whole backup, piece by piece: the stash as it was written into `document`, and every picture. */
export async function sendBackup({ photos }: Context, document: string, out: Writable): Promise<void> {
  const names = photos ? await photoNames(photos.folder) : [];
  const zip = new yazl.ZipFile();
  // A picture that cannot be read ends the answer, not the server.
  const from = zip.outputStream as Readable;
  zip.on('error', (error: Error) => from.destroy(error));
  zip.addFile(document, DOCUMENT);
  // Pictures are compressed already, and never change.
  for (const name of names) zip.addFile(join(photos?.folder ?? '', name), PHOTOS + name, { compress: false });
  zip.end();
  await sendStream(from, out);
}

const broken = (): Refusal =>
  new Refusal(
    422,
    'broken_backup',
    'This backup cannot be read; it may be cut off or damaged. Nothing of the stash was changed.',
  );
const open = (path: string): Promise<yauzl.ZipFile> =>
  new Promise((resolve, reject) =>
    yauzl.open(path, { lazyEntries: true, autoClose: false }, (error, zip) =>
      error ? reject(broken()) : resolve(zip),
    ),
  );

/** The bytes of one file of a zip; more than it says, or than it may be, are refused by the reader. */
async function bytesOf(zip: yauzl.ZipFile, entry: yauzl.Entry, most: number): Promise<Buffer> {
  if (entry.uncompressedSize > most) throw tooLarge(entry.fileName);
  const stream = await new Promise<NodeJS.ReadableStream>((resolve, reject) =>
    zip.openReadStream(entry, (error, opened) => (error ? reject(broken()) : resolve(opened))),
  );
  const parts: Buffer[] = [];
  for await (const part of stream) parts.push(part as Buffer);
  return Buffer.concat(parts);
}
const tooLarge = (name: string): Refusal =>
  new Refusal(422, 'too_large', `“${name.slice(0, 60)}” in the backup is too large.`);

/** A backup that is being read: its document, and its pictures once it is known which of them the document speaks of. */
export interface OpenBackup {
  readonly document: Buffer;
  /** Puts pictures where pictures are; those that are there already stay. `undo` takes away what it wrote. */
  readonly unpack: (named: ReadonlySet<string>, report: Report) => Promise<void>;
  readonly undo: () => Promise<void>;
}

/** Opens a backup for as long as `work` takes. Its document is read first; nothing is written before it is asked for. */
export async function withBackup<T>(
  { photos }: Context,
  path: string,
  work: (backup: OpenBackup) => Promise<T>,
): Promise<T> {
  const zip = await open(path);
  try {
    if (zip.entryCount > MOST_PHOTOS)
      throw new Refusal(422, 'too_large', `The backup holds more than ${MOST_PHOTOS} files.`);
    const entries: yauzl.Entry[] = [];
    for await (const entry of entriesOf(zip)) entries.push(entry);
    const document = entries.find(({ fileName }) => fileName === DOCUMENT);
    if (!document)
      throw new Refusal(
        422,
        'no_document',
        `There is no ${DOCUMENT} in this zip: it is no backup of a stash.`,
      );
    const written: string[] = [];
    return await work({
      document: await bytesOf(zip, document, MOST_DOCUMENT_BYTES).catch(refuseBroken),
      unpack: (named, report) =>
        photos
          ? unpackPhotos(zip, entries, { folder: photos.folder, named, written, report })
          : Promise.resolve(),
      undo: async () => {
        for (const file of written) await rm(file, { force: true });
      },
    });
  } finally {
    zip.close();
  }
}

const refuseBroken = (error: unknown): never => {
  throw error instanceof Refusal || (error as NodeJS.ErrnoException).code === 'ENOSPC' ? error : broken();
};

interface Unpacking {
  readonly folder: string;
  readonly named: ReadonlySet<string>;
  readonly written: string[];
  readonly report: Report;
}
/** A picture as it is called in a document. */
const idIn = (name: string): string => name.split('.')[0] ?? '';

async function unpackPhotos(
  zip: yauzl.ZipFile,
  entries: readonly yauzl.Entry[],
  { folder, named, written, report }: Unpacking,
): Promise<void> {
  const known = new Set(await photoNames(folder));
  const wanted = entries.flatMap((entry) => {
    const name = entry.fileName.startsWith(PHOTOS) ? entry.fileName.slice(PHOTOS.length) : '';
    return PHOTO_FILE.test(name) && named.has(idIn(name)) && !known.has(name) ? [{ entry, name }] : [];
  });
  // Pictures are compressed already: what swells on its way out is none.
  const swollen = wanted.find(
    ({ entry }) => entry.uncompressedSize > MOST_SWELL * (entry.compressedSize + MOST_SWELL),
  );
  if (swollen) throw tooLarge(swollen.entry.fileName);
  await mkdir(folder, { recursive: true, mode: 0o700 });
  let done = 0;
  for (const { entry, name } of wanted) {
    const bytes = await bytesOf(zip, entry, MOST_PHOTO).catch(refuseBroken);
    // What is no picture is not kept as one.
    if (isJpeg(bytes)) {
      written.push(join(folder, name));
      await writeDurably(join(folder, name), bytes);
    }
    report({ step: 'photos', done: ++done, total: wanted.length });
  }
}

async function* entriesOf(zip: yauzl.ZipFile): AsyncGenerator<yauzl.Entry> {
  for (let i = 0; i < zip.entryCount; i++) {
    const entry = await new Promise<yauzl.Entry | null>((resolve, reject) => {
      const settle = (work: () => void) => () => {
        zip.removeAllListeners();
        work();
      };
      zip.once('entry', (found: yauzl.Entry) => settle(() => resolve(found))());
      zip.once('end', () => settle(() => resolve(null))());
      zip.once('error', () => settle(() => reject(broken()))());
      zip.readEntry();
    });
    if (!entry) return;
    yield entry;
  }
}
