import { mkdtemp, mkdir, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { MOST_DOCUMENT_BYTES } from '@red-shelf/contract';
import yauzl from 'yauzl';
import yazl from 'yazl';
import { writeDurably } from '../db/durably';
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

/** Has the stash written into a file, which is there while `work` needs it. */
export async function withWritten(
  context: Context,
  what: 'document' | 'csv',
  work: (file: string) => Promise<void>,
): Promise<void> {
  const folder = await mkdtemp(join(tmpdir(), 'red-shelf-out-'));
  try {
    const file = join(folder, DOCUMENT);
    await asideOf(context)(what, { file });
    await work(file);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

const photoNames = async (folder: string): Promise<string[]> =>
  (await readdir(folder).catch(() => [])).filter((name) => PHOTO_FILE.test(name)).sort();

/** Sends a whole backup, piece by piece: the stash as it is now, and every picture. */
export const sendBackup = (context: Context, out: Writable): Promise<void> =>
  withWritten(context, 'document', async (document) => {
    const zip = new yazl.ZipFile();
    const sent = pipeline(zip.outputStream, out);
    zip.addFile(document, DOCUMENT);
    const folder = context.photos?.folder;
    // Pictures are compressed already, and never change.
    for (const name of folder ? await photoNames(folder) : [])
      zip.addFile(join(folder ?? '', name), PHOTOS + name, { compress: false });
    zip.end();
    await sent;
  });

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
  if (entry.uncompressedSize > most)
    throw new Refusal(422, 'too_large', `“${entry.fileName.slice(0, 60)}” in the backup is too large.`);
  const stream = await new Promise<NodeJS.ReadableStream>((resolve, reject) =>
    zip.openReadStream(entry, (error, opened) => (error ? reject(broken()) : resolve(opened))),
  );
  const parts: Buffer[] = [];
  for await (const part of stream) parts.push(part as Buffer);
  return Buffer.concat(parts);
}

/** Takes a backup apart: its pictures are put where pictures are, those that are there already stay; answers its document. */
export async function unpackBackup({ photos }: Context, path: string, report: Report): Promise<Buffer> {
  const zip = await open(path);
  try {
    if (zip.entryCount > MOST_PHOTOS)
      throw new Refusal(422, 'too_large', `The backup holds more than ${MOST_PHOTOS} files.`);
    const known = new Set(photos ? await photoNames(photos.folder) : []);
    if (photos) await mkdir(photos.folder, { recursive: true });
    let document: Buffer | null = null;
    let done = 0;
    for await (const entry of entriesOf(zip)) {
      const name = entry.fileName.startsWith(PHOTOS) ? entry.fileName.slice(PHOTOS.length) : '';
      if (entry.fileName === DOCUMENT) document = await bytesOf(zip, entry, MOST_DOCUMENT_BYTES);
      else if (photos && PHOTO_FILE.test(name) && !known.has(name)) {
        const bytes = await bytesOf(zip, entry, MOST_PHOTO);
        // What is no picture is not kept as one.
        if (isJpeg(bytes)) await writeDurably(join(photos.folder, name), bytes);
      }
      report({ step: 'photos', done: ++done, total: zip.entryCount });
    }
    if (!document)
      throw new Refusal(
        422,
        'no_document',
        `There is no ${DOCUMENT} in this zip: it is no backup of a stash.`,
      );
    return document;
  } catch (error) {
    throw error instanceof Refusal ? error : broken();
  } finally {
    zip.close();
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
