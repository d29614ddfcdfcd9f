import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import type { UnitView } from '@red-shelf/contract';
import { createClient } from '@libsql/client';
import { listedIn, makeWorld, MIGRATIONS, type World } from './world';

const OLD = resolve(__dirname, 'old');
const folder = mkdtempSync(join(tmpdir(), 'red-shelf-old-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

interface Journal {
  readonly entries: readonly { readonly tag: string; readonly when: number }[];
}

/** A file just as a program of that time left it: its migrations, and what was kept in it. */
async function oldFile(shape: number): Promise<string> {
  const file = join(folder, `stash-${shape}.db`);
  const db = createClient({ url: pathToFileURL(file).href });
  const journal = JSON.parse(readFileSync(join(MIGRATIONS, 'meta/_journal.json'), 'utf8')) as Journal;
  await db.execute(
    'CREATE TABLE __drizzle_migrations (id SERIAL PRIMARY KEY, hash text NOT NULL, created_at numeric)',
  );
  for (const [i, { tag, when }] of journal.entries.slice(0, shape + 1).entries()) {
    await db.executeMultiple(
      readFileSync(join(MIGRATIONS, `${tag}.sql`), 'utf8').replaceAll('--> statement-breakpoint', ''),
    );
    await db.execute({
      sql: 'INSERT INTO __drizzle_migrations (hash, created_at) VALUES (?, ?)',
      args: [tag, when],
    });
    await db.executeMultiple(readFileSync(join(OLD, `rows-${i}.sql`), 'utf8'));
  }
  db.close();
  return file;
}

const shelf = async ({ http }: World) => {
  const supplies = listedIn(await http.get('/api/supplies').expect(200));
  const units = (await http.get('/api/wall').expect(200)).body as { roomName: string; units: UnitView[] };
  return { ...units, byId: new Map(supplies.map((supply) => [supply.id, supply])) };
};

const PAD_STOCK = { items: 2, left: 115, state: 'ok', uses: 1, used: 5 };

test.each([0, 1, 2])(
  'a file of shape %d opens, stands where it stood, and what was done can still be undone',
  async (shape) => {
    const file = await oldFile(shape);
    const world = await makeWorld(file);
    const { roomName, units, byId } = await shelf(world);
    expect(roomName).toBe('Attic');
    expect([...byId.keys()].sort()).toEqual(['s-card', 's-pad']);
    expect(byId.get('s-pad')).toMatchObject({
      stock: PAD_STOCK,
      holdings: [{ as: 'whole', spot: { unitId: 'u-rack', cell: 4 } }],
    });
    expect(byId.get('s-card')?.stock).toMatchObject(
      shape === 0
        ? { left: 20, parts: {}, uses: 0 }
        : { left: 41, parts: { pack: 1, base: 6, scrap: 2 }, uses: 1, used: 4 },
    );
    expect(units).toHaveLength(1);
    expect(units[0]).toMatchObject({
      label: 'A',
      parentId: 'room',
      model: { columnsUm: [102_000, 102_000, 102_000], wallUm: 4000 },
    });
    if (shape === 2) {
      expect(units[0]).toMatchObject({
        model: { filling: 'snake', skipColumns: [2] },
        rules: { kinds: ['ink'], cap: 5 },
        facts: { reach: 'near' },
      });
      expect(byId.get('s-pad')).toMatchObject({ number: 7, facts: { spares: 1 } });
    }
    await world.http.post('/api/changes/c2/undo').send({}).expect(200);
    await world.http.post('/api/changes/c1/undo').send({}).expect(200);
    const after = (await shelf(world)).byId.get('s-pad');
    expect(after).toMatchObject({ stock: { left: 120, uses: 0 }, holdings: [{ spot: { cell: 0 } }] });
    world.close();
    // What was brought over once is brought over; opening it again changes nothing.
    const again = await makeWorld(file);
    expect((await shelf(again)).byId.get('s-pad')).toEqual(after);
    again.close();
  },
);

test.each([1, 2])('a document of version %d is brought in as it stood', async (version) => {
  const world = await makeWorld();
  const document: object = JSON.parse(readFileSync(join(OLD, `document-${version}.json`), 'utf8')) as object;
  await world.http.post('/api/restore').send(document).expect(200);
  const { roomName, units, byId } = await shelf(world);
  expect([roomName, units[0]?.label]).toEqual(['Attic', 'A']);
  expect(byId.get('s-pad')).toMatchObject({
    stock: PAD_STOCK,
    holdings: [{ spot: { unitId: 'u-rack', cell: 4 } }],
  });
  if (version === 2)
    expect(byId.get('s-card')?.stock).toMatchObject({ left: 41, parts: { pack: 1, base: 6, scrap: 2 } });
  const written = (await world.http.get('/api/export.json').expect(200)).body as object;
  await world.http.post('/api/restore').send(written).expect(200);
  expect({ ...((await world.http.get('/api/export.json')).body as object), exportedAt: '' }).toEqual({
    ...written,
    exportedAt: '',
  });
  world.close();
});
