import { spawnSync, type ChildProcess } from 'node:child_process';
import {
  existsSync,
  linkSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { fileRoutes, routes } from '@red-shelf/contract';
import yazl from 'yazl';
import { sweepTempFolders } from '../services/tempFolder';
import { startServer } from './startServer';
import { INK } from './world';

/** The built server, as it is started, against what once ended it or lost what it had acknowledged. */

const ROOT = resolve(__dirname, '../../../..');
const MAIN = 'apps/server/dist/main.js';
const folder = mkdtempSync(join(tmpdir(), 'red-shelf-harm-'));
const file = join(folder, 'data/stash.db');
let server: { process: ChildProcess; url: string };
const start = () => startServer([MAIN], { cwd: ROOT, db: file });
beforeAll(async () => {
  spawnSync(process.execPath, ['scripts/build-server.mjs'], { cwd: ROOT });
  server = await start();
});
afterAll(() => {
  server.process.kill();
  rmSync(folder, { recursive: true, force: true });
});

const add = (name: string) =>
  fetch(`${server.url}/api/supplies`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ ...INK, name }),
  });
/** Asks by hand and hangs up so many ms later. */
const hangUp = (path: string, afterMs: number) =>
  new Promise<void>((resolve, reject) => {
    const { port } = new URL(server.url);
    const socket = connect(Number(port), '127.0.0.1', () => {
      socket.write(`GET ${path} HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\n\r\n`);
      setTimeout(() => {
        socket.destroy();
        resolve();
      }, afterMs);
    });
    socket.on('error', reject);
  });

test('downloads that are broken off at any moment end nothing but themselves', async () => {
  await add('Marsh Lantern');
  const streaming = [fileRoutes.backup, fileRoutes.exportJson, fileRoutes.exportCsv, routes.listSupplies];
  for (let after = 0; after < 24; after += 3)
    await Promise.all(streaming.map(({ path }) => hangUp(path, after)));
  const zip = await fetch(server.url + fileRoutes.backup.path);
  expect(
    Buffer.from(await zip.arrayBuffer())
      .subarray(0, 2)
      .toString(),
  ).toBe('PK');
  expect(server.process.exitCode).toBeNull();
});

test('a stash is its person’s alone on the disk', () => {
  expect(statSync(join(folder, 'data')).mode & 0o777).toBe(0o700);
  for (const each of ['stash.db', 'stash.db-wal', 'stash.db-shm'])
    expect(statSync(join(folder, 'data', each)).mode & 0o777).toBe(0o600);
});

test('no second server, and no seeding, by whatever name of the same file', async () => {
  const [soft, hard] = [join(folder, 'soft.db'), join(folder, 'hard.db')];
  symlinkSync(file, soft);
  linkSync(file, hard);
  for (const db of [file, soft, hard])
    for (const args of [[MAIN], ['apps/server/dist/seed.js'], ['apps/server/dist/seed.js', '--fresh']]) {
      const env = { ...process.env, RED_SHELF_DB: db, PORT: '0' };
      const second = spawnSync(process.execPath, args, { cwd: ROOT, env, timeout: 20_000 });
      expect(second.status).toBe(1);
      expect(second.stderr.toString()).toMatch(/Another Red Shelf has this stash open/);
    }
  expect(existsSync(file)).toBe(true);
  rmSync(soft);
  rmSync(hard);
  const list = (await (await fetch(`${server.url}/api/supplies`)).json()) as { supplies: object[] };
  expect(list.supplies).toHaveLength(1);
});

const zipOf = async (fill: (zip: yazl.ZipFile) => void): Promise<Uint8Array<ArrayBuffer>> => {
  const zip = new yazl.ZipFile();
  fill(zip);
  zip.end();
  const parts: Buffer[] = [];
  for await (const part of zip.outputStream) parts.push(part as Buffer);
  return new Uint8Array(Buffer.concat(parts));
};
const restore = (bytes: Uint8Array<ArrayBuffer>) =>
  fetch(server.url + fileRoutes.restore.path, { method: 'POST', body: bytes });
const photos = () => {
  const at = join(folder, 'data/photos');
  return existsSync(at) ? readdirSync(at) : [];
};

test('a refused backup leaves no picture behind, and pictures that swell are refused', async () => {
  const picture = Buffer.alloc(3_000_000, 0);
  picture.set([0xff, 0xd8, 0xff]);
  const ids = ['0a', '0b', '0c'];
  const backup = (document: object) =>
    zipOf((zip) => {
      for (const id of ids) zip.addBuffer(picture, `photos/${id}.jpg`);
      zip.addBuffer(Buffer.from(JSON.stringify(document)), 'stash.json');
    });
  expect((await restore(await backup({}))).status).toBe(422);
  expect(photos()).toEqual([]);
  const good = (await (await fetch(server.url + fileRoutes.exportJson.path)).json()) as {
    supplies: { facts: object }[];
  };
  // None of them is spoken of: they are not taken.
  expect((await restore(await backup(good))).status).toBe(200);
  expect(photos()).toEqual([]);
  const named = {
    ...good,
    supplies: good.supplies.map((supply) => ({
      ...supply,
      facts: { photos: ids.map((id) => ({ id, width: 10, height: 10 })) },
    })),
  };
  expect((await restore(await backup(named))).status).toBe(422);
  expect(photos()).toEqual([]);
});

test('bytes that are no text are refused, with where they are', async () => {
  const text = Buffer.from(await (await fetch(server.url + fileRoutes.exportJson.path)).arrayBuffer());
  const at = text.indexOf('Marsh');
  text[at + 1] = 0xff;
  const refused = await restore(new Uint8Array(text));
  expect(refused.status).toBe(422);
  expect(((await refused.json()) as { title: string }).title).toContain(`from byte ${at + 2} on, in line 1`);
});

test('folders that a killed process left are swept away, and no others', async () => {
  const dead = spawnSync(process.execPath, ['-e', '']).pid;
  const left = mkdtempSync(join(tmpdir(), `red-shelf-in-${dead}-`));
  const own = mkdtempSync(join(tmpdir(), `red-shelf-out-${process.pid}-`));
  expect(await sweepTempFolders()).toBeGreaterThan(0);
  expect([existsSync(left), existsSync(own)]).toEqual([false, true]);
  rmSync(own, { recursive: true });
});

// What a process may open can be changed from outside where there is such a program.
(existsSync('/usr/bin/prlimit') ? test : test.skip)(
  'with no file handle left it answers 503, and goes on when there are some again',
  async () => {
    const few = await startServer([MAIN], { cwd: ROOT, db: join(folder, 'few/stash.db') });
    const { pid } = few.process;
    const limit = (handles: string) =>
      spawnSync('prlimit', [`--pid=${pid}`, `--nofile=${handles}:`]).status === 0;
    try {
      // The line it is asked on is open; what an export needs besides is not.
      expect((await fetch(`${few.url}/api/health`)).status).toBe(200);
      expect(limit(String(readdirSync(`/proc/${pid}/fd`).length + 1))).toBe(true);
      const statuses = [];
      for (let i = 0; i < 3; i++) {
        const asked = fetch(`${few.url}/api/backup.zip`, { signal: AbortSignal.timeout(5000) });
        statuses.push(
          await asked.then(
            ({ status }) => status,
            () => 0,
          ),
        );
      }
      limit('1024');
      expect(statuses).toEqual([503, 503, 503]);
      expect((await fetch(`${few.url}/api/backup.zip`)).status).toBe(200);
    } finally {
      few.process.kill();
    }
  },
);

test('the file taken away: nothing more is acknowledged, everything up to then is saved, no empty one is made', async () => {
  expect((await add('Acknowledged')).status).toBe(200);
  rmSync(file);
  const refused = await add('Lost');
  expect(refused.status).toBe(503);
  const { code, title } = (await refused.json()) as { code: string; title: string };
  expect(code).toBe('stash_gone');
  const rescued = /saved in (\S+):/.exec(title)?.[1] ?? '';
  expect((await fetch(server.url + fileRoutes.exportJson.path)).status).toBe(503);
  expect(existsSync(file)).toBe(false);
  // Another file in its place is not it.
  writeFileSync(file, readFileSync(rescued));
  expect((await add('Lost')).status).toBe(503);
  server.process.kill();
  await new Promise((ended) => server.process.once('exit', ended));
  for (const end of ['-wal', '-shm']) rmSync(file + end, { force: true });
  server = await start();
  const list = await (await fetch(`${server.url}/api/supplies`)).text();
  expect(list).toContain('Acknowledged');
  expect(list).not.toContain('Lost');
});
