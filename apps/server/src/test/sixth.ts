import { pathToFileURL } from 'node:url';
import { createClient } from '@libsql/client';
import type { RecordView } from '@red-shelf/contract';
import type { World } from './world';

/** Projects by name, with what each keeps back of what. */
export const projectsOf = async ({ http }: World) =>
  ((await http.get('/api/records').expect(200)).body.records as RecordView[]).flatMap(({ body }) =>
    body.sort === 'group' && body.what === 'project' ? [[body.name, body.members] as const] : [],
  );

/** Turns a file of today back into one of shape 6: what a document replaced is whole, what is put aside stands in facts. */
export async function asSixth(file: string, pad: string): Promise<void> {
  const db = createClient({ url: pathToFileURL(file).href });
  await db.executeMultiple(`
    CREATE TABLE snapshots (id text PRIMARY KEY NOT NULL, at text NOT NULL, document text NOT NULL);
    INSERT INTO snapshots SELECT id, '', group_concat(piece, '') FROM snapshot_pieces GROUP BY id ORDER BY n;
    DROP TABLE snapshot_pieces;
    DELETE FROM settings WHERE key = 'asideBy';
    DELETE FROM __drizzle_migrations WHERE created_at > 1795724000000;
  `);
  await db.execute({
    sql: 'UPDATE supplies SET facts = ? WHERE id = ?',
    args: [JSON.stringify({ reserved: [{ project: 'Winter cards', amount: 4 }] }), pad],
  });
  // All of it in the one file, so that it can be copied.
  await db.execute('PRAGMA wal_checkpoint(TRUNCATE)');
  db.close();
}
