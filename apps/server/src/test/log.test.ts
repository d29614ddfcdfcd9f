import { statSync } from 'node:fs';
import fs from 'node:fs/promises';
import { join } from 'node:path';
import { joinStore } from '../db/open';
import { settings } from '../db/schema';
import type { Touched } from '../db/tx';
import { locksOn, whereLocksAreTold } from './locks';
import { INK, makeWorld, type World } from './world';

/** What is acknowledged is on the disk, and what is put there holds up nobody. */

const sync = jest.fn<Promise<void>, []>();
let world: World;
beforeEach(async () => {
  world = await makeWorld();
  sync.mockReset().mockResolvedValue(undefined);
  const open = fs.open.bind(fs);
  jest.spyOn(fs, 'open').mockImplementation(async (path, ...more) => {
    const file = await open(path, ...more);
    if (String(path).endsWith('-wal')) file.datasync = sync;
    return file;
  });
});
afterEach(() => {
  jest.restoreAllMocks();
  world.close();
});
const turn = () => new Promise((go) => setTimeout(go, 30));
const write = (key: string) => world.store.write((tx) => tx.insert(settings).values({ key, value: '' }));

test('a write is answered once it is on the disk, and the next one begins after it', async () => {
  let onDisk = () => {};
  const reached = new Promise<void>((atDisk) => {
    sync.mockImplementationOnce(() => (atDisk(), new Promise((go) => (onDisk = go))));
  });
  const done: string[] = [];
  const both = ['first', 'second'].map((key) => write(key).then(() => done.push(key)));
  await reached;
  await turn();
  expect(done).toEqual([]);
  expect(await world.store.read.select().from(settings)).toContainEqual({ key: 'first', value: '' });
  expect(sync).toHaveBeenCalledTimes(1);
  onDisk();
  await Promise.all(both);
  expect(done).toEqual(['first', 'second']);
  expect(sync).toHaveBeenCalledTimes(2);
});

test('a disk that fails is not passed over: the write fails, the list knows it, and the next one is tried', async () => {
  const heard: Touched[] = [];
  world.store.onTouched((touched) => heard.push(touched));
  sync.mockRejectedValueOnce(Object.assign(new Error('the disk'), { code: 'EIO' }));
  await world.http.post('/api/supplies').send(INK).expect(500);
  expect(heard).toHaveLength(1);
  await world.add();
  expect(heard).toHaveLength(2);
});

test('the log is carried over into the file, and the file then holds what the log held', async () => {
  const file = join(world.folder, 'stash.db');
  const before = statSync(file).size;
  for (let i = 0; i < 40; i++)
    await world.store.write((tx) => tx.insert(settings).values({ key: `${i}`, value: 'x'.repeat(9000) }));
  expect(statSync(file).size).toBe(before);
  await world.store.carryOver();
  expect(statSync(file).size).toBeGreaterThan(before + 40 * 9000);
});

whereLocksAreTold('what puts changes on the disk lets go none of the locks a stash is held by', async () => {
  const db = join(world.folder, 'stash.db');
  await write('first');
  const before = locksOn([db, `${db}-shm`]);
  expect(before.length).toBeGreaterThanOrEqual(2);
  const helper = await joinStore(db);
  await helper.write((tx) => tx.insert(settings).values({ key: 'helper', value: '' }));
  helper.close();
  await turn();
  expect(locksOn([db, `${db}-shm`])).toEqual(before);
  expect(locksOn([`${db}-wal`])).toEqual([]);
});
