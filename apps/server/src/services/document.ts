import type { Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { DOCUMENT_LISTS, DOCUMENT_VERSION, type StashDocument } from '@red-shelf/contract';
import { stashPages } from '../db/stashRepository';
import type { Readable } from '../db/tx';
import type { Context } from './context';

type Head = Omit<StashDocument, keyof typeof DOCUMENT_LISTS>;

/** The whole stash as JSON, piece by piece: removed things and all history included, what follows from it left out. */
export async function* documentPieces(db: Readable, exportedAt: string): AsyncGenerator<string> {
  const head: Head = { format: 'red-shelf', formatVersion: DOCUMENT_VERSION, exportedAt };
  yield JSON.stringify(head).slice(0, -1);
  const waiting = Object.keys(DOCUMENT_LISTS);
  let open = false;
  // Lists without anything in them are there too.
  const begin = (list: string | null): string => {
    let text = open ? ']' : '';
    for (let name = waiting.shift(); name !== undefined; name = waiting.shift()) {
      text += `,"${name}":[`;
      if (name === list) return text;
      text += ']';
    }
    return text;
  };
  let now: string | null = null;
  for await (const { list, page } of stashPages(db)) {
    const lead = list === now ? ',' : begin(list);
    open = true;
    now = list;
    yield lead + page.map((each) => JSON.stringify(each)).join(',');
  }
  yield `${begin(null)}}`;
}

/** Writes the whole stash, piece by piece, and ends when all of it is out. */
export async function writeDocumentTo({ store, ports }: Context, out: Writable): Promise<void> {
  // One state of it, though others write meanwhile.
  await store.snapshot((db) => pipeline(documentPieces(db, ports.now()), out));
}
