import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { createClient } from '@libsql/client';
import { contentOf } from '../db/fingerprint';
import { asSixth, projectsOf } from './sixth';
import { makeWorld } from './world';

const folder = mkdtempSync(join(tmpdir(), 'red-shelf-aside-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

test('what an older program put aside for names is kept by projects, and what was done can still be undone', async () => {
  const file = join(mkdtempSync(join(folder, 'aside-')), 'stash.db');
  const first = await makeWorld(file);
  const [pad, card] = [await first.add(), await first.add({ name: 'Moss' })];
  first.close();
  const db = createClient({ url: pathToFileURL(file).href });
  const row = async (id: string) => {
    const { rows } = await db.execute({ sql: 'SELECT * FROM supplies WHERE id = ?', args: [id] });
    const {
      facts,
      created_at: createdAt,
      updated_at: updatedAt,
      ...found
    } = rows[0] as unknown as {
      facts: string;
      [name: string]: unknown;
    };
    const known = { ...found, createdAt, updatedAt, facts: JSON.parse(facts) as object };
    return known as unknown as { id: string; version: number; facts: object; [name: string]: unknown };
  };
  /** Writes facts as an older program did, and how to take it back. */
  const putAside = async (change: string, id: string, reserved: object[]) => {
    const kept = await row(id);
    const { seq: _, family_override, family_reason, removed_at, ...rest } = kept;
    const before = {
      ...rest,
      familyOverride: family_override,
      familyReason: family_reason,
      removedAt: removed_at,
    };
    const after = { ...before, facts: { ...kept.facts, reserved } };
    const inverse = {
      supplies: [{ id, before, after: contentOf(after) }],
      units: [],
      records: [],
      lots: [],
    };
    await db.execute({
      sql: `INSERT INTO changes (id, at, kind, name, count, inverse, seq)
        VALUES (?, ?, 'edit', 'x', 1, ?, (SELECT max(seq) + 1 FROM changes))`,
      args: [change, new Date().toISOString(), JSON.stringify(inverse)],
    });
    await db.execute({
      sql: 'UPDATE supplies SET facts = ? WHERE id = ?',
      args: [JSON.stringify(after.facts), id],
    });
  };
  await putAside('c1', pad.id, [{ project: 'Winter cards', amount: 4 }]);
  await putAside('c2', card.id, [{ project: 'winter cards', amount: 2 }]);
  await putAside('c3', pad.id, [{ project: 'Tags', amount: 1 }]);
  await db.execute("DELETE FROM settings WHERE key = 'asideBy'");
  db.close();
  const world = await makeWorld(file);
  const kept = (id: string, amount: number) => ({ supplyId: id, amount });
  const names = async () => new Map(await projectsOf(world));
  expect(await names()).toEqual(
    new Map([
      ['Tags', [kept(pad.id, 1)]],
      ['winter cards', [kept(card.id, 2)]],
    ]),
  );
  expect((await world.supply(pad.id)).facts).toEqual({});
  const undo = async (id: string) => world.http.post(`/api/changes/${id}/undo`).send({}).expect(200);
  expect((await undo('c3')).body).toMatchObject({ kept: [] });
  const both = [kept(pad.id, 4), kept(card.id, 2)].sort((a, b) => (a.supplyId < b.supplyId ? -1 : 1));
  expect((await names()).get('winter cards')).toEqual(both);
  expect((await names()).get('Tags')).toEqual([]);
  await undo('c2');
  await undo('c1');
  expect([...(await names()).values()]).toEqual([[], []]);
  const written = (await world.http.get('/api/export.json').expect(200)).body as object;
  await world.http.post('/api/restore').send(written).expect(200);
  world.close();
});

test('a document of version 5 keeps what was put aside by projects', async () => {
  const world = await makeWorld();
  const { id } = await world.add();
  const document = (await world.http.get('/api/export.json')).body as { supplies: { facts: object }[] };
  const reserved = [
    { project: 'Winter cards', amount: 4 },
    { project: 'Tags', amount: 1 },
  ];
  const fifth = {
    ...document,
    formatVersion: 5,
    supplies: document.supplies.map((supply) => ({ ...supply, facts: { ...supply.facts, reserved } })),
  };
  await world.http.post('/api/restore').send(fifth).expect(200);
  expect(await projectsOf(world)).toEqual([
    ['Tags', [{ supplyId: id, amount: 1 }]],
    ['Winter cards', [{ supplyId: id, amount: 4 }]],
  ]);
  world.close();
});

test('what a document replaced is brought over too, and can still be brought back', async () => {
  const file = join(mkdtempSync(join(folder, 'replaced-')), 'stash.db');
  const first = await makeWorld(file);
  const { id } = await first.add();
  const empty = { ...((await first.http.get('/api/export.json')).body as object) };
  const { body } = await first.http
    .post('/api/restore')
    .send({ ...empty, supplies: [], holdings: [], events: [] })
    .expect(200);
  first.close();
  await asSixth(file, '');
  const world = await makeWorld(file);
  const change = (body as { change: { id: string } }).change.id;
  await world.http.post(`/api/changes/${change}/undo`).send({}).expect(200);
  expect((await world.supply(id)).name).toBe('Fern Gate');
  world.close();
});
