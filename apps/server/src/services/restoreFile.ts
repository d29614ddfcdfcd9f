import { isUtf8 } from 'node:buffer';
import { open, readFile } from 'node:fs/promises';
import type { ChangeView } from '@red-shelf/contract';
import type { Report } from './aside';
import { withBackup } from './backup';
import type { Context } from './context';
import { Refusal } from './refusal';
import { documentFrom, photosNamedIn, replaceBy } from './restore';

const ZIP = Buffer.from('PK\u0003\u0004', 'latin1');
/** Nothing in a document lies deeper; what does is none, and costs gigabytes to read. */
const MOST_DEEP = 40;

/** Replaces the stash by what lies in a file: a document, or a backup with its photos. */
export async function restoreFile(context: Context, path: string, report: Report): Promise<ChangeView> {
  report({ step: 'reading', done: 0, total: 1 });
  if (!(await isZip(path)))
    return replaceBy(context, documentFrom(readJson(await readFile(path)), report), report);
  return withBackup(context, path, async ({ document, unpack, undo }) => {
    const checked = documentFrom(readJson(document), report);
    try {
      await unpack(photosNamedIn(checked), report);
      return await replaceBy(context, checked, report);
    } catch (error) {
      // What is refused leaves nothing behind.
      await undo();
      throw error;
    }
  });
}

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
  const text = textOf(bytes);
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new Refusal(400, 'not_json', 'This is not valid JSON; the file may be cut off.');
  }
}

/** The text of a file, none of it guessed: bytes that are no UTF-8 are refused, with the line they stand in. */
function textOf(bytes: Uint8Array): string {
  if (isUtf8(bytes)) return Buffer.from(bytes.buffer, bytes.byteOffset, bytes.length).toString('utf8');
  // The longest beginning that is whole text ends at the damage.
  let [good, bad] = [0, bytes.length];
  while (bad - good > 1) {
    const middle = (good + bad) >> 1;
    if (isUtf8(bytes.subarray(0, wholeCharacters(bytes, middle)))) good = middle;
    else bad = middle;
  }
  let line = 1;
  for (let i = 0; i < good; i++) if (bytes[i] === LINE_FEED) line++;
  throw new Refusal(
    422,
    'not_utf8',
    `The file is damaged: from byte ${good + 1} on, in line ${line}, it is not UTF-8 text. Nothing was changed. Use another copy of it.`,
  );
}
const LINE_FEED = 10;
/** Where the last character that begins before `end` begins, so that none is cut in two. */
function wholeCharacters(bytes: Uint8Array, end: number): number {
  let at = end;
  while (at > 0 && at > end - 4 && ((bytes[at] ?? 0) & 0xc0) === 0x80) at--;
  return at;
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
