import { mkdir, readFile } from 'node:fs/promises';
import { dirname } from 'node:path';
import type { z } from 'zod';
import { writeDurably } from '../db/durably';

/** One small thing kept as JSON, readable by the person alone. */
export class KeptFile<T> {
  constructor(
    private readonly path: string,
    private readonly schema: z.ZodType<T>,
  ) {}
  /** What is kept, or null where nothing is. A file that is not what it should be is an error, and opens no door. */
  async read(): Promise<T | null> {
    const text = await readFile(this.path, 'utf8').catch((error: NodeJS.ErrnoException) => {
      if (error.code === 'ENOENT') return null;
      throw error;
    });
    return text === null ? null : this.schema.parse(JSON.parse(text));
  }
  async write(value: T): Promise<void> {
    await mkdir(dirname(this.path), { recursive: true, mode: 0o700 });
    await writeDurably(this.path, Buffer.from(JSON.stringify(value)), 0o600);
  }
}
