import { createWriteStream } from 'node:fs';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createInflate } from 'node:zlib';
import type { Request } from 'express';
import { inTempFolder } from '../services/tempFolder';
import { Refusal } from '../services/refusal';

const MB = 1024 * 1024;

/** Lets so many bytes through, and refuses the next one. */
const atMost = (bytes: number): Transform => {
  let had = 0;
  return new Transform({
    transform(part: Buffer, _encoding, done) {
      had += part.length;
      if (had <= bytes) done(null, part);
      else
        done(
          new Refusal(413, 'too_large', `That is too large: at most ${Math.round(bytes / MB)} MB at once.`),
        );
    },
  });
};

const UNPACKERS: Readonly<Record<string, (() => Transform[]) | undefined>> = {
  identity: () => [],
  gzip: () => [createGunzip()],
  deflate: () => [createInflate()],
};

/** What zlib says is wrong is said in words. */
function refuseBroken(error: unknown): never {
  if (!String((error as NodeJS.ErrnoException).code).startsWith('Z_')) throw error;
  throw new Refusal(400, 'broken_compression', 'The request says it is compressed, and cannot be unpacked.');
}

/** Writes what a request carries into a file that is there while `work` needs it; it never lies in memory. */
export async function withReceived<T>(
  request: Request,
  most: number,
  work: (file: string) => Promise<T>,
): Promise<T> {
  const encoding = request.headers['content-encoding'] ?? 'identity';
  const unpacker = UNPACKERS[encoding];
  if (!unpacker)
    throw new Refusal(415, 'encoding', 'The text is in an encoding that is not understood here.');
  return inTempFolder('in', async (folder) => {
    const file = join(folder, 'received');
    await pipeline([request, ...unpacker(), atMost(most), createWriteStream(file)]).catch(refuseBroken);
    return work(file);
  });
}
