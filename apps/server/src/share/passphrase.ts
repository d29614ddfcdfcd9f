import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { z } from 'zod';
import { KeptFile } from './keptFile';

/** scrypt (RFC 7914): 128 MB and some tenths of a second for one guess. */
const COST = { N: 2 ** 17, r: 8, p: 1 } as const;
const KEY_BYTES = 32;

const kept = z.object({
  salt: z.base64(),
  hash: z.base64(),
  cost: z.object({ N: z.int(), r: z.int(), p: z.int() }),
});

function derived(text: string, salt: Buffer, { N, r, p }: z.infer<typeof kept>['cost']): Promise<Buffer> {
  const given = text.normalize('NFKC').trim();
  return new Promise((resolve, reject) =>
    scrypt(given, salt, KEY_BYTES, { N, r, p, maxmem: 256 * N * r }, (error, key) =>
      error ? reject(error) : resolve(key),
    ),
  );
}

/** The passphrase of a stash, of which only a hash is kept. */
export class Passphrase {
  private readonly file: KeptFile<z.infer<typeof kept>>;
  constructor(path: string) {
    this.file = new KeptFile(path, kept);
  }
  isSet(): Promise<boolean> {
    return this.file.read().then((found) => found !== null);
  }
  async set(text: string): Promise<void> {
    const salt = randomBytes(16);
    const hash = await derived(text, salt, COST);
    await this.file.write({ salt: salt.toString('base64'), hash: hash.toString('base64'), cost: COST });
  }
  /** Whether this is it. */
  async is(text: string): Promise<boolean> {
    const found = await this.file.read();
    if (!found) return false;
    const hash = await derived(text, Buffer.from(found.salt, 'base64'), found.cost);
    return timingSafeEqual(hash, Buffer.from(found.hash, 'base64'));
  }
}
