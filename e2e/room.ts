import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base, expect, type BrowserContext } from '@playwright/test';
import { Host } from './host';

export interface Room {
  readonly url: string;
  /** Has another browser watched as the first one is. */
  readonly watch: (context: BrowserContext) => void;
  /** Stops the server and starts it again over the same file; `hard` kills it in the middle of whatever it does. */
  readonly restart: (how?: { readonly hard: boolean }) => Promise<void>;
  /** Out of reach, until it is started again. */
  readonly stop: () => Promise<void>;
  readonly start: () => Promise<void>;
}

/** A server over a freshly seeded demo room, and windows that fail the test on any console error. */
export const test = base.extend<
  { room: Room; cut: boolean; share: string; web: string; wall: string },
  { seeded: string; host: Host }
>({
  /** A demo room, made once for many tests; each has a copy of its own. */
  seeded: [
    // Playwright reads which fixtures are asked for from this pattern.
    async ({}, use) => {
      const folder = mkdtempSync(join(tmpdir(), 'red-shelf-seeded-'));
      const db = join(folder, 'stash.db');
      const seeding = spawnSync(process.execPath, ['apps/server/dist/seed.js'], {
        env: { ...process.env, RED_SHELF_DB: db, RED_SHELF_TODAY: '2026-06-01' },
      });
      if (seeding.status !== 0) throw new Error(seeding.stderr.toString());
      await use(db);
      rmSync(folder, { recursive: true, force: true });
    },
    { scope: 'worker' },
  ],
  /** The process that serves the rooms of many tests, one after another. */
  host: [
    async ({}, use) => {
      const host = new Host();
      await use(host);
      await host.kill();
    },
    { scope: 'worker' },
  ],
  /** Whether the test cuts the network: then what does not come through is no fault. */
  cut: [false, { option: true }],
  /** An address the server is reached at besides, as if from another device. */
  share: ['', { option: true }],
  /** Another folder with the built app in it. */
  web: ['', { option: true }],
  /** How the wall is looked at when a test begins. */
  wall: ['racks', { option: true }],
  room: async ({ context, cut, share, web, wall, seeded, host }, use) => {
    const folder = mkdtempSync(join(tmpdir(), 'red-shelf-e2e-'));
    const db = join(folder, 'stash.db');
    copyFileSync(seeded, db);
    const url = await host.open(db, { share, web, port: 0 });
    let open = true;
    const faults: string[] = [];
    // Every window of the test is watched. The browser itself notes each request that the API refuses,
    // and refusals are part of the journeys; anything else that is missing is a fault.
    const watch = (watched: BrowserContext): void => {
      watched.on('console', (message) => {
        const refused = /status of 4\d\d/.test(message.text()) && message.location().url.includes('/api/');
        const away = cut && /net::ERR_|status of 50[234]|when fetching the script/.test(message.text());
        if (message.type() === 'error' && !refused && !away) faults.push(message.text());
      });
      watched.on('weberror', (failure) => faults.push(failure.error().message));
    };
    watch(context);
    // What React recovered from says why only in its cause, which is not passed on.
    await context.addInitScript((view) => {
      // Rack by rack, but for what is about the picture of the room.
      if (location.protocol.startsWith('http') && !localStorage.getItem('red-shelf.wall'))
        localStorage.setItem('red-shelf.wall', view);
      addEventListener('error', ({ error }) => {
        if (error?.cause) console.error(`because of: ${error.cause.stack ?? error.cause}`);
      });
    }, wall);
    const stop = async (hard = false): Promise<void> => {
      open = false;
      await (hard ? host.kill() : host.close());
    };
    const start = async (): Promise<void> => {
      await host.open(db, { share, web, port: Number(new URL(url).port) });
      open = true;
    };
    await use({
      url,
      watch,
      stop: () => stop(),
      start,
      restart: async ({ hard } = { hard: false }) => {
        await stop(hard);
        await start();
      },
    });
    // What the page misses once nobody answers any more is no fault.
    const found = [...faults];
    if (open) await host.close();
    rmSync(folder, { recursive: true, force: true });
    expect(found, 'console errors').toEqual([]);
  },
});

export { expect };
