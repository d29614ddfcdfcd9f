import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import type { RecordView } from '@red-shelf/contract';
import { createClient } from '@libsql/client';
import sharp from 'sharp';
import yazl from 'yazl';
import { asideHere } from '../aside/here';
import { holdAlone, InUse } from '../db/holdAlone';
import { lookFirst } from '../db/lookFirst';
import { openStore } from '../db/open';
import { snapshots } from '../db/schema';
import { copiesOf, copyOfToday } from '../services/copies';
import { systemPorts } from '../services/ports';
import { sweepPhotos } from '../services/sweep';
import { sayWhyNot } from '../start';
import { listedIn, makeWorld, MIGRATIONS, type World } from './world';

/** What keeps a stash: backups, copies, the lock, and what is said when a file is none. */

let world: World;
beforeEach(async () => {
  world = await makeWorld();
});
afterEach(() => world.close());

const bytes = { 'Content-Type': 'application/octet-stream' };
const addPhoto = async (): Promise<{ id: string; width: number; height: number }> => {
  const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#4c9a52' } })
    .jpeg()
    .toBuffer();
  return (await world.http.post('/api/photos').set(bytes).send(picture).expect(200)).body as never;
};
const download = (path: string) =>
  world.http
    .get(path)
    .buffer(true)
    .parse((response, done) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () => done(null, Buffer.concat(parts)));
    })
    .expect(200);
const zipOf = async (fill: (zip: yazl.ZipFile) => void): Promise<Buffer> => {
  const zip = new yazl.ZipFile();
  fill(zip);
  zip.end();
  const parts: Buffer[] = [];
  for await (const part of zip.outputStream) parts.push(part as Buffer);
  return Buffer.concat(parts);
};

test('a backup is one zip, and brings stash and pictures back whole, elsewhere', async () => {
  const photo = await addPhoto();
  const { id, version } = await world.add();
  const { body: got } = await world.http.get(`/api/supplies/${id}`);
  const { kind, form, name, hex } = (
    got as { supply: { kind: string; form: string; name: string; hex: string } }
  ).supply;
  await world.http
    .put(`/api/supplies/${id}`)
    .send({ kind, form, name, hex, version, facts: { photos: [photo] } })
    .expect(200);
  const written = await download('/api/backup.zip');
  const [document, picture] = [
    (await world.http.get('/api/export.json')).body,
    await download(`/api/photos/${photo.id}`),
  ];
  world.close();
  world = await makeWorld();
  await world.http
    .post('/api/restore')
    .set(bytes)
    .send(written.body as Buffer)
    .expect(200);
  const again = (await world.http.get('/api/export.json')).body as object;
  expect({ ...again, exportedAt: '' }).toEqual({ ...document, exportedAt: '' });
  expect((await download(`/api/photos/${photo.id}`)).body).toEqual(picture.body);
  expect((await download(`/api/photos/${photo.id}/small`)).body).toBeTruthy();
});

test('a zip that is no backup, or carries what is no picture, leaves nothing behind', async () => {
  await world.add();
  const before = (await world.http.get('/api/export.json')).body as object;
  const restore = async (zip: Buffer) =>
    (await world.http.post('/api/restore').set(bytes).send(zip).expect(422)).body.title as string;
  const good = await zipOf((zip) => {
    zip.addBuffer(Buffer.from('x'), 'photos/0a.jpg');
    zip.addBuffer(Buffer.from('{}'), 'stash.json');
  });
  expect(await restore(good)).toMatch(/not a Red Shelf document/);
  expect(await restore(good.subarray(0, 60))).toMatch(/cut off or damaged/);
  expect(await restore(await zipOf((zip) => zip.addBuffer(Buffer.from('x'), 'a.txt')))).toMatch(
    /no stash.json/,
  );
  expect(existsSync(join(world.folder, 'photos/0a.jpg'))).toBe(false);
  const after = (await world.http.get('/api/export.json')).body as object;
  expect({ ...after, exportedAt: '' }).toEqual({ ...before, exportedAt: '' });
});

test('pictures that nothing speaks of go after a week; what a change can bring back stays', async () => {
  const [kept, undone, orphan, young] = [
    await addPhoto(),
    await addPhoto(),
    await addPhoto(),
    await addPhoto(),
  ];
  const supply = await world.add({ facts: { photos: [kept, undone] } });
  const { kind, form, name, hex } = supply;
  await world.http
    .put(`/api/supplies/${supply.id}`)
    .send({ kind, form, name, hex, version: 1, facts: { photos: [kept] } })
    .expect(200);
  const folder = join(world.folder, 'photos');
  writeFileSync(join(folder, 'ab.jpg.part'), 'half');
  const old = new Date(Date.now() - 8 * 86_400_000);
  for (const file of readdirSync(folder))
    if (!file.startsWith(young.id)) utimesSync(join(folder, file), old, old);
  const photos = { folder, prepare: () => Promise.resolve('unreadable' as const) };
  const sweep = () =>
    sweepPhotos({ store: world.store, ports: systemPorts, photos }, join(world.folder, 'stash.db'));
  // Another stash beside it keeps its pictures in the same place.
  const other = await openStore(join(world.folder, 'demo.db'), MIGRATIONS);
  other.close();
  expect(await sweep()).toBe(0);
  for (const name of readdirSync(world.folder))
    if (name.startsWith('demo.db')) rmSync(join(world.folder, name));
  expect(await sweep()).toBe(3);
  const left = new Set(readdirSync(folder).map((file) => file.split('.')[0]));
  expect(left).toEqual(new Set([kept.id, undone.id, young.id]));
  expect(left.has(orphan.id)).toBe(false);
});

test('a copy of today opens by itself, while the stash is in use; seven days are kept', async () => {
  await world.add({ name: 'Reed' });
  const db = join(world.folder, 'stash.db');
  mkdirSync(join(world.folder, 'copies'));
  for (let day = 1; day <= 9; day++) writeFileSync(join(world.folder, `copies/stash-2020-01-0${day}.db`), '');
  const context = { store: world.store, ports: systemPorts };
  const withAside = { ...context, aside: asideHere(context) };
  expect(await copyOfToday(withAside, db)).toBe(true);
  expect(await copyOfToday(withAside, db)).toBe(false);
  // A stash beside it has copies of its own.
  expect(await copiesOf(join(world.folder, 'demo.db'))).toEqual([]);
  const copies = await copiesOf(db);
  expect(copies).toHaveLength(7);
  const copy = await makeWorld(copies[0]);
  expect(listedIn(await copy.http.get('/api/supplies')).map(({ name }) => name)).toEqual(['Reed']);
  copy.close();
});

test('a second program is told that the first one has the stash, and where', async () => {
  const db = join(world.folder, 'stash.db');
  const release = await holdAlone(db);
  writeFileSync(`${db}-open.json`, JSON.stringify({ url: 'http://127.0.0.1:4310', pid: 17 }));
  await expect(holdAlone(db)).rejects.toThrow(InUse);
  await expect(holdAlone(db)).rejects.toThrow(/open: http:\/\/127.0.0.1:4310 \(process 17\)/);
  release();
  (await holdAlone(db))();
});

describe('a file that is no stash of this program is not opened, and nothing is written to it', () => {
  const file = (name: string): string => join(world.folder, name);
  const refused = async (path: string): Promise<string> => {
    const before = readFileSync(path);
    const error = await openStore(path, MIGRATIONS).then(
      () => undefined,
      (reason: unknown) => reason,
    );
    expect(readFileSync(path).equals(before)).toBe(true);
    return sayWhyNot(error, path);
  };
  test('a text', async () => {
    writeFileSync(file('a.db'), 'Dear diary, '.repeat(500));
    expect(await refused(file('a.db'))).toMatch(/is no stash: it is a file of another kind/);
  });
  test('another program’s database', async () => {
    const client = createClient({ url: pathToFileURL(file('b.db')).href });
    await client.execute('create table recipes (id)');
    client.close();
    expect(await refused(file('b.db'))).toMatch(/database of another program/);
  });
  test('a stash of a newer program', async () => {
    const client = createClient({ url: pathToFileURL(file('stash.db')).href });
    await client.execute(`insert into __drizzle_migrations (hash, created_at) values ('x', 9999999999999)`);
    client.close();
    await expect(lookFirst(file('stash.db'), MIGRATIONS)).rejects.toThrow(/written by a newer Red Shelf/);
  });
  test('a damaged stash, with the way to its newest copy', async () => {
    for (let i = 0; i < 30; i++) await world.add({ note: 'x'.repeat(900) });
    const context = { store: world.store, ports: systemPorts };
    await copyOfToday({ ...context, aside: asideHere(context) }, file('stash.db'));
    const [copy] = await copiesOf(file('stash.db'));
    mkdirSync(file('c'));
    mkdirSync(file('c/copies'));
    const damaged = readFileSync(copy!);
    damaged.fill(0x5a, 4096 * 3, damaged.length - 4096);
    writeFileSync(file('c/stash.db'), damaged);
    copyFileSync(copy!, file('c/copies/stash-2026-01-01.db'));
    const said = await refused(file('c/stash.db'));
    expect(said).toMatch(/is damaged/);
    expect(said).toContain(`The newest good copy is ${file('c/copies/stash-2026-01-01.db')}`);
  });
});

test('what the system refuses is said in words', async () => {
  const of = (code: string, port?: number) =>
    sayWhyNot(Object.assign(new Error('x'), { code }), '/a/stash.db', port);
  expect(await of('ENOSPC')).toMatch(/disk with \/a is full/);
  expect(await of('SQLITE_READONLY_DIRECTORY')).toMatch(/\/a cannot be written to/);
  expect(await of('EADDRINUSE', 4310)).toMatch(/Another program answers on port 4310/);
  expect(await of('EACCES', 80)).toMatch(/port 80/);
});

test('of stashes that were replaced only the last one is kept', async () => {
  const kept = async () =>
    new Set((await world.store.read.select().from(snapshots)).map(({ id }) => id)).size;
  const document = (await world.http.get('/api/export.json')).body as object;
  for (let i = 0; i < 4; i++) await world.http.post('/api/restore').send(document).expect(200);
  expect(await kept()).toBe(1);
  const { body } = await world.http.post('/api/restore').send(document).expect(200);
  const undone = await world.http.post(`/api/changes/${body.change.id}/undo`).send({}).expect(200);
  await world.http.post(`/api/changes/${undone.body.change.id}/undo`).send({}).expect(200);
  expect(await kept()).toBe(1);
});

test('kits that named the one that left a merge name the one that stays, and undoing gives both back', async () => {
  const [keep, other] = [await world.add(), await world.add({ name: 'Fern Gates' })];
  const members = [
    { supplyId: keep.id, amount: 2 },
    { supplyId: other.id, amount: 3 },
  ];
  await world.http
    .post('/api/records')
    .send({ body: { sort: 'group', what: 'kit', name: 'Kit', members } })
    .expect(200);
  const seen = ({ id, version }: { id: string; version: number }) => ({ id, version });
  const merged = await world.http
    .post('/api/supplies/merge')
    .send({ keep: seen(keep), other: seen(other) })
    .expect(200);
  const now = async () =>
    ((await world.http.get('/api/records')).body as { records: RecordView[] }).records[0]?.body;
  expect(await now()).toMatchObject({ members: [{ supplyId: keep.id, amount: 5 }] });
  await world.http.post(`/api/changes/${merged.body.change.id}/undo`).send({}).expect(200);
  expect(await now()).toMatchObject({ members });
});

test('a batch that names one thing twice changes it once, and can be undone', async () => {
  const { id } = await world.add();
  const twice = [
    { id, version: 1 },
    { id, version: 1 },
  ];
  const { body } = await world.http
    .post('/api/supplies/batch')
    .send({ supplies: twice, set: { addTags: ['a'] } })
    .expect(200);
  await world.http.post(`/api/changes/${body.change.id}/undo`).send({}).expect(200);
  expect((await world.supply(id)).facts.tags).toBeUndefined();
});

test('a rack’s limit holds however things come into it', async () => {
  const unit = await world.rack({ rules: { kinds: ['ink'], cap: 1 } });
  const [a, b] = [await world.add({ count: { items: 2, left: 120 } }), await world.add({ name: 'Reed' })];
  await world.put(a.id, { unitId: unit.id, cell: 0 });
  await world.put(b.id, { unitId: unit.id, cell: 1 }, 422);
  const lot = (await world.supply(a.id)).holdings[0]!;
  const place = { unitId: unit.id, cell: 2 };
  await world.http
    .put(`/api/holdings/${lot.id}/place`)
    .send({ version: lot.version, place, amount: 1 })
    .expect(422);
});
