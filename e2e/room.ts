import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base, expect } from '@playwright/test';

export interface Room {
  readonly url: string;
  /** Stops the server and starts it again over the same file. */
  readonly restart: () => Promise<void>;
}

const env = (more: Record<string, string>) => ({ ...process.env, ...more }) as NodeJS.ProcessEnv;

async function startServer(db: string, port: string) {
  const server = spawn(process.execPath, ['apps/server/dist/main.js'], {
    env: env({ RED_SHELF_DB: db, PORT: port }),
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const url = await new Promise<string>((ready, fail) => {
    server.stdout.on('data', (text: Buffer) => {
      const found = /ready (http:\S+)/.exec(text.toString());
      if (found?.[1]) ready(found[1]);
    });
    server.on('exit', () => fail(new Error('the server ended before it was ready')));
  });
  return { server, url };
}

/** A server over a freshly seeded demo room, and a page that fails the test on any console error. */
export const test = base.extend<{ room: Room }>({
  room: async ({ page }, use) => {
    const folder = mkdtempSync(join(tmpdir(), 'red-shelf-e2e-'));
    const db = join(folder, 'stash.db');
    const seeded = spawnSync(process.execPath, ['apps/server/dist/seed.js'], {
      env: env({ RED_SHELF_DB: db, RED_SHELF_TODAY: '2026-06-01' }),
    });
    if (seeded.status !== 0) throw new Error(seeded.stderr.toString());
    let { server, url } = await startServer(db, '0');
    const faults: string[] = [];
    const expected = /status of (4\d\d)/;
    page.on('console', (message) => {
      // The browser itself notes every refused request; refusals are part of the journeys.
      if (message.type() === 'error' && !expected.test(message.text())) faults.push(message.text());
    });
    page.on('pageerror', (error) => faults.push(error.message));
    await use({
      url,
      restart: async () => {
        const ended = new Promise((resolve) => server.on('exit', resolve));
        server.kill('SIGTERM');
        await ended;
        ({ server } = await startServer(db, new URL(url).port));
      },
    });
    server.kill('SIGKILL');
    rmSync(folder, { recursive: true, force: true });
    expect(faults, 'console errors').toEqual([]);
  },
});

export { expect };
