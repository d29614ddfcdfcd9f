import { once } from 'node:events';
import type { Writable } from 'node:stream';
import { DOCUMENT_VERSION, type StashDocument } from '@red-shelf/contract';
import { readStash } from '../db/stashRepository';
import type { Readable } from '../db/tx';
import type { Context } from './context';

/** The whole stash, removed things and all history included. What follows from it is left out. */
export const writeDocument = async (db: Readable, exportedAt: string): Promise<StashDocument> => ({
  format: 'red-shelf',
  formatVersion: DOCUMENT_VERSION,
  exportedAt,
  ...(await readStash(db)),
});

/** So many things are written at a stretch. */
const AT_ONCE = 500;

/** Writes the whole stash, piece by piece, and ends when all of it is out. */
export async function writeDocumentTo({ store, ports }: Context, out: Writable): Promise<void> {
  const { units, supplies, holdings, events, records, ...head } = await writeDocument(
    store.read,
    ports.now(),
  );
  const failed: Promise<never> = once(out, 'error').then(([error]) => Promise.reject(error as Error));
  const write = async (text: string): Promise<void> => {
    if (!out.write(text)) await Promise.race([once(out, 'drain'), failed]);
  };
  await write(JSON.stringify(head).slice(0, -1));
  for (const [name, list] of Object.entries({ units, supplies, holdings, events, records })) {
    await write(`,"${name}":[`);
    for (let i = 0; i < list.length; i += AT_ONCE) {
      const some = list.slice(i, i + AT_ONCE).map((each) => JSON.stringify(each));
      await write((i > 0 ? ',' : '') + some.join(','));
    }
    await write(']');
  }
  out.end('}');
  await Promise.race([once(out, 'finish'), failed]);
}
