import { createReadStream } from 'node:fs';
import type { Readable, Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';

/** What a stream says when the other side hung up before the end. */
const HUNG_UP: ReadonlySet<string> = new Set([
  'ERR_STREAM_PREMATURE_CLOSE',
  'ERR_STREAM_DESTROYED',
  'ECONNRESET',
  'EPIPE',
  'ABORT_ERR',
]);

/** Whether an error only says that nobody listens any more. */
const isHangUp = (error: unknown): boolean =>
  HUNG_UP.has((error as NodeJS.ErrnoException | undefined)?.code ?? '');

/**
 * Sends a stream as an answer and ends when all of it is out, or when the other side hung up: a download that is broken
 * off is no error. Throws what else goes wrong; `from` is closed in every case.
 */
export async function sendStream(from: Readable, to: Writable): Promise<void> {
  try {
    await pipeline(from, to);
  } catch (error) {
    if (!isHangUp(error)) throw error;
  }
}

/** Sends a file, as `sendStream` does. */
export const sendFile = (path: string, to: Writable): Promise<void> => sendStream(createReadStream(path), to);
