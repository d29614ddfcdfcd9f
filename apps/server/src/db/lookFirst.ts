import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { createClient, type Client } from '@libsql/client';

/** Why a file is not opened as a stash. */
export class NotOpened extends Error {
  constructor(
    readonly code: 'damaged' | 'foreign' | 'newer',
    message: string,
  ) {
    super(message);
  }
}

interface Journal {
  readonly entries: readonly { readonly when: number }[];
}
const latestKnown = (migrationsFolder: string): number => {
  const journal = JSON.parse(readFileSync(join(migrationsFolder, 'meta/_journal.json'), 'utf8')) as Journal;
  return Math.max(...journal.entries.map(({ when }) => when));
};

/**
 * Looks at a file before anything is written to it: whether it is sound, is a stash at all, and is of no newer program
 * than this, which would not know what it writes over. Throws NotOpened.
 */
export async function lookFirst(file: string, migrationsFolder: string): Promise<void> {
  if (!existsSync(file)) return;
  const client = createClient({ url: pathToFileURL(file).href, concurrency: 1, intMode: 'number' });
  try {
    await refuseDamaged(client, file);
    await refuseForeign(client, file, migrationsFolder);
  } finally {
    client.close();
  }
}

const said = (value: unknown): string => (typeof value === 'string' ? value : '');

async function refuseDamaged(client: Client, file: string): Promise<void> {
  const damaged = (why: string) => new NotOpened('damaged', `The stash in ${file} is damaged (${why}).`);
  try {
    const { rows } = await client.execute('PRAGMA quick_check(3)');
    const found = rows.map((row) => said(row[0]));
    if (found.join() !== 'ok') throw damaged(found.join('; ').slice(0, 200));
  } catch (error) {
    const code = (error as { code?: string }).code ?? '';
    if (code.startsWith('SQLITE_NOTADB'))
      throw new NotOpened(
        'foreign',
        `${file} is no stash: it is a file of another kind, or its beginning is damaged.`,
      );
    if (code.startsWith('SQLITE_CORRUPT')) throw damaged('it cannot be read');
    throw error;
  }
}

async function refuseForeign(client: Client, file: string, migrationsFolder: string): Promise<void> {
  const { rows } = await client.execute(`select name from sqlite_master where type = 'table'`);
  const tables = rows.map((row) => said(row[0]));
  if (tables.length === 0) return;
  if (!tables.includes('__drizzle_migrations') || !tables.includes('supplies'))
    throw new NotOpened('foreign', `${file} is a database of another program, and no stash.`);
  const latest = await client.execute('select max(created_at) from __drizzle_migrations');
  if (Number(latest.rows[0]?.[0] ?? 0) > latestKnown(migrationsFolder))
    throw new NotOpened(
      'newer',
      `The stash in ${file} was written by a newer Red Shelf, and this one would not know what it writes over. Update Red Shelf.`,
    );
}
