import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { networkInterfaces, tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import type { LedgerView, SupplyView } from '@red-shelf/contract';
import { joinStore, openStore } from '../db/open';
import { startServer } from './startServer';
import { INK, listedIn, MIGRATIONS } from './world';

const ROOT = resolve(__dirname, '../../../..');
const folder = mkdtempSync(join(tmpdir(), 'red-shelf-crash-'));
const file = join(folder, 'stash.db');
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** The server as it is built and shipped. */
const start = () => startServer(['apps/server/dist/main.js'], { cwd: ROOT, db: file });

const post = async (url: string, body: object): Promise<Record<string, never>> => {
  const response = await fetch(url, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!response.ok) throw new Error(`${response.status}`);
  return (await response.json()) as Record<string, never>;
};

test('killed in the middle of 500 writes, every acknowledged one is there at restart and the file is sound', async () => {
  const first = await start();
  const { supply } = (await post(`${first.url}/api/supplies`, INK)) as unknown as { supply: SupplyView };
  const acknowledged: string[] = [];
  let sent = 0;
  let killed = false;
  // Ten hands at once; the server dies when a third of the writes are answered, with others still under way.
  const hand = async (): Promise<void> => {
    while (sent < 500 && !killed) {
      const n = sent++;
      try {
        if (n % 2 === 0) {
          const answer = (await post(`${first.url}/api/supplies`, {
            ...INK,
            name: `Ink ${n}`,
          })) as unknown as { supply: SupplyView };
          acknowledged.push(answer.supply.id);
        } else {
          await post(`${first.url}/api/supplies/${supply.id}/ledger`, { act: 'buy', amount: 1 });
          acknowledged.push('buy');
        }
      } catch {
        if (!killed) throw new Error('a write failed before the kill');
      }
      if (acknowledged.length >= 170 && !killed) {
        killed = true;
        first.process.kill('SIGKILL');
      }
    }
  };
  await Promise.all(Array.from({ length: 10 }, hand));
  expect(acknowledged.length).toBeGreaterThanOrEqual(170);
  expect(acknowledged.length).toBeLessThan(500);

  const second = await start();
  const read = async <T>(path: string): Promise<T> => (await (await fetch(second.url + path)).json()) as T;
  const supplies = listedIn({ body: await read('/api/supplies') });
  const there = new Set(supplies.map(({ id }) => id));
  expect(acknowledged.filter((id) => id !== 'buy' && !there.has(id))).toEqual([]);
  const { ledger } = await read<{ ledger: LedgerView[] }>(`/api/supplies/${supply.id}`);
  const bought = ledger.filter(({ act }) => act === 'buy').length;
  expect(bought).toBeGreaterThanOrEqual(acknowledged.filter((id) => id === 'buy').length);
  expect(supplies.find(({ id }) => id === supply.id)?.stock.items).toBe(1 + bought);
  second.process.kill('SIGTERM');
  await new Promise((ended) => second.process.on('exit', ended));

  const store = await openStore(file, MIGRATIONS);
  expect(await store.integrity()).toBe('ok');
  store.close();
}, 60_000);

test('the server answers on loopback only', async () => {
  const { process: server, url } = await start();
  const outside = Object.values(networkInterfaces())
    .flatMap((addresses) => addresses ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4');
  expect((await fetch(`${url}/api/health`)).status).toBe(200);
  for (const { address } of outside)
    await expect(fetch(`http://${address}:${new URL(url).port}/api/health`)).rejects.toThrow();
  server.kill('SIGTERM');
  await new Promise((ended) => server.on('exit', ended));
});

test('a helper waits its turn while another process has the file to itself', async () => {
  const other = join(folder, 'other.db');
  const code = `
    const { createClient } = require('@libsql/client');
    (async () => {
      const client = createClient({ url: ${JSON.stringify(pathToFileURL(other).href)} });
      await client.execute('PRAGMA journal_mode = WAL');
      await client.execute('PRAGMA locking_mode = EXCLUSIVE');
      await client.execute('CREATE TABLE held (n)');
      process.stdout.write('held');
      setTimeout(() => process.exit(0), 700);
    })();`;
  const holder = spawn(process.execPath, ['-e', code], { stdio: ['ignore', 'pipe', 'inherit'] });
  await once(holder.stdout, 'data');
  const store = await joinStore(other);
  expect(await store.read.run('SELECT 1')).toBeDefined();
  store.close();
});
