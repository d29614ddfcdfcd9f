import childProcess, { type ChildProcess } from 'node:child_process';
import { EventEmitter } from 'node:events';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { asideProcess } from '../aside/beside';
import { settings } from '../db/schema';
import { photoProcesses } from '../jobs/photoProcesses';
import { Refusal } from '../services/refusal';
import type { Aside } from '../services/aside';
import { makeWorld, type World } from './world';

/** What waits for what: long work waits for a lane, writes wait for nobody who only waits or reads. */

let world: World;
let folder = '';
let aside: Aside;
beforeEach(async () => {
  world = await makeWorld();
  folder = mkdtempSync(join(tmpdir(), 'red-shelf-lanes-'));
  // One that works until it is ended, unless it is asked for something small.
  const script = join(folder, 'worker.cjs');
  writeFileSync(
    script,
    `process.on('message', ({ task }) => task.bytes.length === 1 && process.send({ answer: 'done', touched: [] }));
     process.on('disconnect', () => process.exit(0));`,
  );
  aside = asideProcess({ store: world.store }, { script: pathToFileURL(script), db: '', photos: '' });
});
afterEach(() => {
  world.close();
  rmSync(folder, { recursive: true, force: true });
});
const choices = {} as never;
const forever = { bytes: new Uint8Array(2), choices };
const small = { bytes: new Uint8Array(1), choices };
const begun = () => new Promise((go) => setTimeout(go, 50));
const write = () =>
  world.store.write((tx) => tx.insert(settings).values({ key: String(Math.random()), value: '' }));

test('a write goes on while long work that will write waits behind previews', async () => {
  const leave = new AbortController();
  const previews = [1, 2].map(() => aside('previewList', forever, { signal: leave.signal }));
  for (const preview of previews) preview.catch(() => undefined);
  const commit = aside('importList', small);
  await begun();
  await write();
  leave.abort(new Error('left'));
  await Promise.allSettled(previews);
  expect(await commit).toBe('done');
});

test('previews whose client has gone, at work or in line, take no lane from others', async () => {
  const leave = new AbortController();
  const six = Array.from({ length: 6 }, () => aside('previewList', forever, { signal: leave.signal }));
  const ended = Promise.allSettled(six);
  const next = aside('previewList', small);
  await begun();
  leave.abort(new Error('left'));
  expect((await ended).every(({ status }) => status === 'rejected')).toBe(true);
  expect(await next).toBe('done');
  // None was handed back twice or lost.
  expect(await Promise.all([small, small, small].map((task) => aside('previewList', task)))).toHaveLength(3);
});

test('an export sees one state, and what is written meanwhile waits for nothing', async () => {
  await world.add({ name: 'Before' });
  const counted = await world.store.snapshot(async (db) => {
    const count = async () => (await db.query.supplies.findMany()).length;
    const first = await count();
    await world.add({ name: 'Meanwhile' });
    return [first, await count()];
  });
  expect(counted).toEqual([1, 1]);
  expect(await world.store.read.query.supplies.findMany()).toHaveLength(2);
});

test('where the system can start no process the answer is 503, and the next one is done', async () => {
  // What Node gives where the system refuses: no number, no channel, and the reason a moment later.
  const forking = jest.spyOn(childProcess, 'fork').mockImplementation(() => {
    const never = new EventEmitter();
    setImmediate(() => never.emit('error', Object.assign(new Error('spawn EMFILE'), { code: 'EMFILE' })));
    return never as ChildProcess;
  });
  const said = async (work: Promise<unknown>) =>
    work.then(
      () => 200,
      (error: unknown) => (error instanceof Refusal ? error.problem.status : 500),
    );
  expect(await said(aside('previewList', small))).toBe(503);
  expect(await said(aside('importList', small))).toBe(503);
  await expect(photoProcesses(pathToFileURL(join(folder, 'worker.cjs')))(Buffer.from('x'))).rejects.toThrow(
    'EMFILE',
  );
  forking.mockRestore();
  await write();
  expect(await aside('importList', small)).toBe('done');
});
