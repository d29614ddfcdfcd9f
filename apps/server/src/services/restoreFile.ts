import { open, readFile } from 'node:fs/promises';
import type { ChangeView } from '@red-shelf/contract';
import type { Report } from './aside';
import { unpackBackup } from './backup';
import type { Context } from './context';
import { Refusal } from './refusal';
import { restoreDocument } from './restore';

const ZIP = Buffer.from('PK\u0003\u0004', 'latin1');
/** Nothing in a document lies deeper; what does is none, and costs gigabytes to read. */
const MOST_DEEP = 40;

/** Replaces the stash by what lies in a file: a document, or a backup with its photos. */
export async function restoreFile(context: Context, path: string, report: Report): Promise<ChangeView> {
  report({ step: 'reading', done: 0, total: 1 });
  return restoreDocument(context, await documentIn(context, path, report), report);
}

/** What the file says; its bytes are not kept. */
const documentIn = async (context: Context, path: string, report: Report): Promise<unknown> =>
  readJson((await isZip(path)) ? await unpackBackup(context, path, report) : await readFile(path));

async function isZip(path: string): Promise<boolean> {
  const file = await open(path);
  try {
    const { buffer } = await file.read(Buffer.alloc(ZIP.length), 0, ZIP.length, 0);
    return buffer.equals(ZIP);
  } finally {
    await file.close();
  }
}

/** The value a JSON text says. Throws a refusal where it is none, or lies deeper than a document does. */
function readJson(bytes: Uint8Array): unknown {
  if (depthOf(bytes) > MOST_DEEP)
    throw new Refusal(422, 'too_deep', 'This is not a document of a stash: it lies too deep inside itself.');
  try {
    return JSON.parse(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.length).toString('utf8')) as unknown;
  } catch {
    throw new Refusal(400, 'not_json', 'This is not valid JSON; the file may be cut off.');
  }
}

const [QUOTE, BACKSLASH, OPEN, SHUT, OPEN_LIST, SHUT_LIST] = [...Buffer.from('"\\{}[]')];

/** How deep the brackets of a JSON text lie at most, looking no further than it takes to say that it is too deep. */
function depthOf(bytes: Uint8Array): number {
  let [depth, most, quoted] = [0, 0, false];
  for (let i = 0; i < bytes.length && most <= MOST_DEEP; i++) {
    const byte = bytes[i];
    if (quoted) {
      if (byte === BACKSLASH) i++;
      else if (byte === QUOTE) quoted = false;
    } else if (byte === QUOTE) quoted = true;
    else if (byte === OPEN || byte === OPEN_LIST) most = Math.max(most, ++depth);
    else if (byte === SHUT || byte === SHUT_LIST) depth--;
  }
  return most;
}
