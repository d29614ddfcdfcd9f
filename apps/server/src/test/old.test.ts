import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { copyFileSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { dealtWithIn, type RecordView, type UnitView } from '@red-shelf/contract';
import { createClient } from '@libsql/client';
import { build } from 'esbuild';
import { contentOf } from '../db/fingerprint';
import { asSixth, projectsOf } from './sixth';
import { listedIn, makeWorld, MIGRATIONS, type World } from './world';

const OLD = resolve(__dirname, 'old');
const folder = mkdtempSync(join(tmpdir(), 'red-shelf-old-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

interface Journal {
  readonly entries: readonly { readonly tag: string; readonly when: number }[];
}

/** A file just as a program of that time left it: its migrations, and what was kept in it. */
async function oldFile(shape: number): Promise<string> {
  const file = join(mkdtempSync(join(folder, `${shape}-`)), 'stash.db');
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

/** How the first programs named what a record says. */
const firstName = (content: object): string =>
  createHash('sha1')
    .update(JSON.stringify(Object.entries(content).sort()))
    .digest('base64url');

test.each([
  ['by name', (content: object) => ({ after: firstName(content) })],
  ['by version', () => ({ afterVersion: 1 })],
])('what a first program edited, told %s, can be undone today', async (_, told) => {
  const file = await oldFile(0);
  const card = {
    id: 's-card',
    kind: 'cardstock',
    form: 'sheet-12',
    name: 'Quiet White',
    maker: '',
    range: '',
    code: '',
    hex: '#f6f4ee',
    finish: 'matte',
    familyOverride: null,
    familyReason: '',
    note: '',
    createdAt: '2026-01-01T00:00:00.000Z',
    removedAt: null,
  };
  const rack = {
    ...{ id: 'u-rack', position: 0, letter: 'A', name: 'Pad rack', template: 'pad-rack' },
    ...{ rows: 2, columns: 3, slotWidthUm: 102_000, slotHeightUm: 22_000, slotDepthUm: 70_000 },
    removedAt: null,
  };
  const was = { version: 0, updatedAt: card.createdAt };
  const inverse = {
    supplies: [{ id: 's-card', before: { ...card, ...was, name: 'Loud White' }, ...told(card) }],
    units: [{ id: 'u-rack', before: { ...rack, version: 0, name: 'Old rack' }, ...told(rack) }],
    places: [],
    ledger: [],
  };
  const db = createClient({ url: pathToFileURL(file).href });
  await db.execute({
    sql: `INSERT INTO changes (id, at, kind, name, count, inverse) VALUES ('c0', ?, 'edit', 'Quiet White', 1, ?)`,
    args: [card.createdAt, JSON.stringify(inverse)],
  });
  db.close();
  const world = await makeWorld(file);
  const { body } = await world.http.post('/api/changes/c0/undo').send({}).expect(200);
  expect(body).toMatchObject({ kept: [] });
  const { byId, units } = await shelf(world);
  expect(byId.get('s-card')).toMatchObject({ name: 'Loud White', stock: { left: 20 } });
  expect(units[0]).toMatchObject({ name: 'Old rack', model: { wallUm: 4000 } });
  world.close();
});

test('what a sitting held inside becomes rows, and the last verdict of then can be undone', async () => {
  const file = await oldFile(2);
  (await makeWorld(file)).close();
  const at = '2026-03-01T00:00:00.000Z';
  const sitting = {
    ...{ sort: 'session', what: 'sort out', name: 'All', kind: null, form: null, unitId: 'u-rack' },
    ...{ shared: {}, waiting: [], finishedOn: null },
  };
  const [first, second] = [
    { supplyId: 's-card', verdict: 'keep', unitId: null },
    { supplyId: 's-pad', verdict: 'pass on', unitId: 'u-rack' },
  ];
  const row = (version: number, done: readonly object[]) => ({
    ...{ id: 'r2', version, sort: 'session', body: { ...sitting, done } },
    ...{ createdAt: at, updatedAt: at, removedAt: null },
  });
  const inverse = {
    ...{ supplies: [], units: [], lots: [] },
    records: [{ id: 'r2', before: row(2, [first]), after: contentOf(row(3, [first, second])) }],
  };
  const db = createClient({ url: pathToFileURL(file).href });
  await db.execute({
    sql: `INSERT INTO records (id, version, sort, body, created_at, updated_at) VALUES ('r2', 3, 'session', ?, ?, ?)`,
    args: [JSON.stringify({ ...sitting, done: [first, second] }), at, at],
  });
  await db.execute({
    sql: `INSERT INTO changes (id, at, kind, name, count, inverse, seq) VALUES ('c9', ?, 'verdict', 'Fern Gate', 1, ?, 9)`,
    args: [at, JSON.stringify(inverse)],
  });
  db.close();
  const world = await makeWorld(file);
  const rows = async () =>
    dealtWithIn(((await world.http.get('/api/records')).body as { records: RecordView[] }).records, 'r2');
  expect(await rows()).toEqual([
    { supplyId: 's-card', verdict: 'keep', unitId: null },
    { supplyId: 's-pad', verdict: 'pass on', unitId: 'u-rack' },
  ]);
  const { body } = await world.http.post('/api/changes/c9/undo').send({}).expect(200);
  expect(body).toMatchObject({ kept: [] });
  expect((await rows()).map(({ supplyId }) => supplyId)).toEqual(['s-card']);
  // And it goes out and comes back as it is.
  const written = (await world.http.get('/api/export.json').expect(200)).body as object;
  await world.http.post('/api/restore').send(written).expect(200);
  expect((await rows()).map(({ supplyId }) => supplyId)).toEqual(['s-card']);
  world.close();
});

/** The program that opens a file as the server is shipped: in one file, which begins ten times sooner than its sources. */
const opener = resolve(__dirname, '../../dist/test/opener.mjs');
beforeAll(async () => {
  const banner =
    "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);";
  await build({
    entryPoints: [join(__dirname, 'opener.ts')],
    outfile: opener,
    ...{ bundle: true, platform: 'node', format: 'esm', external: ['libsql'], banner: { js: banner } },
  });
});

/** Starts opening a file in a process of its own, and kills it so long after it began. */
const killedAfter = (file: string, ms: number): Promise<void> =>
  new Promise((resolve) => {
    const child = spawn(process.execPath, [opener, file, MIGRATIONS], {
      stdio: ['ignore', 'pipe', 'ignore'],
    });
    child.stdout.on('data', (text: Buffer) => {
      if (text.toString().includes('begins')) setTimeout(() => child.kill('SIGKILL'), ms);
    });
    child.on('exit', () => resolve());
  });

/** Files of one old shape, each the same. */
async function filesOf(shape: number): Promise<() => Promise<string>> {
  if (shape < 6) return () => oldFile(shape);
  const made = join(mkdtempSync(join(folder, 'sixth-')), 'stash.db');
  const world = await makeWorld(made);
  const { id } = await world.add();
  const document = (await world.http.get('/api/export.json')).body as object;
  await world.http.post('/api/restore').send(document).expect(200);
  world.close();
  await asSixth(made, id);
  return () => {
    const copy = join(mkdtempSync(join(folder, 'sixth-')), 'stash.db');
    copyFileSync(made, copy);
    return Promise.resolve(copy);
  };
}

test.each([0, 1, 2, 6])(
  'a file of shape %d whose first start was killed, at whatever moment, opens whole',
  async (shape) => {
    const next = await filesOf(shape);
    const whole = await makeWorld(await next());
    const stood = await shelf(whole);
    const kept = await projectsOf(whole);
    expect(kept).toHaveLength(shape < 6 ? 0 : 1);
    whole.close();
    for (const ms of [0, 10, 20, 35, 50, 70, 95, 130]) {
      const file = await next();
      await killedAfter(file, ms);
      const world = await makeWorld(file);
      expect(await shelf(world)).toEqual(stood);
      expect(await projectsOf(world)).toEqual(kept);
      expect(await world.store.integrity()).toBe('ok');
      world.close();
    }
  },
  120_000,
);

test('a document of version 3, its sittings whole, is brought in', async () => {
  const world = await makeWorld();
  const supply = await world.add();
  const session = { sort: 'session', what: 'sort out', name: 'Inks', kind: 'ink', form: null };
  const { body } = await world.http.post('/api/records').send({ body: session }).expect(200);
  const { id } = (body as { record: RecordView }).record;
  const document = (await world.http.get('/api/export.json')).body as { records: { body: object }[] };
  const [record] = document.records;
  const done = [{ supplyId: supply.id, verdict: 'keep' }];
  const third = {
    ...document,
    formatVersion: 3,
    records: [{ ...record, body: { ...record?.body, done, waiting: [] } }],
  };
  await world.http.post('/api/restore').send(third).expect(200);
  const { records } = (await world.http.get('/api/records')).body as { records: RecordView[] };
  expect(dealtWithIn(records, id)).toEqual(done);
  world.close();
});

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
