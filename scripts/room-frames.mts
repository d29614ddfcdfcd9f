/**
 * Makes a room of 60 racks with 3,000 things in it and prints how it is to look at, in headless Chromium on this machine: how long
 * from the answered list to the drawn room, and how long frames take while it is panned, zoomed and gone into, on a wide screen and on
 * a phone. Needs the app built.
 *   npx tsx scripts/room-frames.mts [racks]
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import playwrightConfig from '../playwright.config.ts';
import { openStore } from '../apps/server/src/db/open.ts';
import { systemPorts } from '../apps/server/src/services/ports.ts';
import { restoreDocument } from '../apps/server/src/services/restore.ts';
import { startServer } from '../apps/server/src/test/startServer.ts';
import { bigWall } from './big/wall.mts';
import { sized } from './figures/size.mts';

const RACKS = Number(process.argv[2] ?? 60);
const OPENINGS = sized(5, 1);
const SETTLED_MS = sized(2500, 100);
const STEPS = sized(40, 4);
const median = (values: readonly number[]): number =>
  [...values].sort((p, q) => p - q)[Math.floor(values.length / 2)] ?? NaN;

const folder = mkdtempSync(join(tmpdir(), 'red-shelf-room-'));
const db = join(folder, 'stash.db');
const store = await openStore(db, 'apps/server/drizzle');
await restoreDocument({ store, ports: systemPorts }, bigWall(RACKS));
store.close();
const { process: server, url } = await startServer(['apps/server/dist/main.js'], { cwd: process.cwd(), db });
const browser = await chromium.launch(playwrightConfig.projects?.[0]?.use?.launchOptions);

/** Counts frames while something is done. */
async function frames(page: Page, act: () => Promise<void>): Promise<string> {
  await page.evaluate(() => {
    const taken: number[] = [];
    let last = performance.now();
    const tick = (now: number): void => {
      taken.push(now - last);
      last = now;
      (window as unknown as { frame: number }).frame = requestAnimationFrame(tick);
    };
    (window as unknown as { taken: number[] }).taken = taken;
    requestAnimationFrame(tick);
  });
  await act();
  const taken = await page.evaluate(() => {
    cancelAnimationFrame((window as unknown as { frame: number }).frame);
    return (window as unknown as { taken: number[] }).taken.slice(1);
  });
  return `median ${median(taken).toFixed(1)} ms, longest ${Math.max(...taken).toFixed(0)} ms of ${taken.length}`;
}

for (const [name, size] of [
  ['wide', { width: 1280, height: 800 }],
  ['phone', { width: 390, height: 844 }],
] as const) {
  if (sized(false, name !== 'phone')) continue;
  const drawn: number[] = [];
  const open = async (): Promise<Page> => {
    const context = await browser.newContext({ viewport: size });
    // What the page is sent keeps the names of its functions by this.
    await context.addInitScript('globalThis.__name = (it) => it;');
    await context.addInitScript(() => {
      localStorage.setItem('red-shelf.wall', 'room');
      const seen = new MutationObserver(() => {
        if (document.querySelectorAll('[aria-label^="Go to"][aria-label*="Pad rack"]').length < 3) return;
        seen.disconnect();
        requestAnimationFrame(() => setTimeout(() => performance.mark('room')));
      });
      seen.observe(document, { childList: true, subtree: true });
    });
    const page = await context.newPage();
    await page.goto(url);
    await page.getByRole('button', { name: /^Go to A Pad rack/ }).waitFor();
    await page.waitForTimeout(300);
    return page;
  };
  for (let i = 0; i < OPENINGS; i++) {
    const opened = await open();
    drawn.push(
      await opened.evaluate(() => {
        const there = Math.max(
          ...performance
            .getEntriesByType('resource')
            .filter(({ name }) => /\/api\/(supplies|wall|records)/.test(name))
            .map((entry) => (entry as PerformanceResourceTiming).responseEnd),
        );
        return (performance.getEntriesByName('room')[0]?.startTime ?? NaN) - there;
      }),
    );
    await opened.context().close();
  }
  const page = await open();
  console.log(
    `${name}: room of ${RACKS} racks drawn ${median(drawn).toFixed(0)} ms after the data is there (${OPENINGS} openings)`,
  );
  await page.waitForTimeout(SETTLED_MS);
  const [x, y] = [size.width * 0.6, size.height * 0.6];
  const wheel = async (by: number, times: number): Promise<void> => {
    for (let i = 0; i < times; i++) {
      await page.mouse.wheel(0, by);
      await page.waitForTimeout(16);
    }
  };
  await page.mouse.move(x, y);
  console.log(`  zooming in by wheel: ${await frames(page, () => wheel(-60, STEPS))}`);
  console.log(`  coming to rest there: ${await frames(page, () => page.waitForTimeout(sized(600, 100)))}`);
  const pan = async (): Promise<void> => {
    await page.mouse.move(x, size.height - 120);
    await page.mouse.down();
    for (let i = 0; i < STEPS; i++) {
      await page.mouse.move(x - 4 * i, size.height - 120 - 3 * i);
      await page.waitForTimeout(16);
    }
    await page.mouse.up();
  };
  console.log(`  panning, near: ${await frames(page, pan)}`);
  console.log(`  zooming out: ${await frames(page, () => wheel(60, STEPS))}`);
  await page.waitForTimeout(sized(500, 100));
  console.log(`  panning, far: ${await frames(page, pan)}`);
  const go = async (): Promise<void> => {
    await page.getByRole('button', { name: /^Go to C Pad rack/ }).press('Enter');
    await page.waitForTimeout(sized(900, 300));
  };
  console.log(`  going to a rack: ${await frames(page, go)}`);
  await page.context().close();
}
await browser.close();
server.kill();
rmSync(folder, { recursive: true, force: true });
