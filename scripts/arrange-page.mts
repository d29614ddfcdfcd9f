/**
 * Opens Arrange over 5,000 supplies in 120 places of every sort and prints how long its answers take and the longest task on the page's
 * main thread: choosing everything, another order, beginning, and lifts one after another. Needs the app built (npm run demo builds it).
 *   npx tsx scripts/arrange-page.mts [how many]
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
import { roomOfAll } from './arrange/room.mts';
import { sized } from './figures/size.mts';

const COUNT = Number(process.argv[2] ?? 5000);
const folder = mkdtempSync(join(tmpdir(), 'red-shelf-arrange-page-'));
const db = join(folder, 'stash.db');
const store = await openStore(db, 'apps/server/drizzle');
await restoreDocument({ store, ports: systemPorts }, roomOfAll(COUNT).document);
store.close();
const { process: server, url } = await startServer(['apps/server/dist/main.js'], { cwd: process.cwd(), db });
const browser = await chromium.launch(playwrightConfig.projects[0].use.launchOptions);
const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
await page.addInitScript(() => {
  const state = window as unknown as { tasks: number[] };
  state.tasks = [];
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) state.tasks.push(entry.duration);
  }).observe({ type: 'longtask', buffered: true });
});

/** How long something takes until it is shown, and the longest task meanwhile, ms. */
async function timed(what: string, act: (on: Page) => Promise<unknown>): Promise<void> {
  await page.evaluate(() => void ((window as unknown as { tasks: number[] }).tasks = []));
  const begun = Date.now();
  await act(page);
  const took = Date.now() - begun;
  await page.waitForTimeout(sized(400, 100));
  const tasks = await page.evaluate(() => (window as unknown as { tasks: number[] }).tasks);
  console.log(`${what}: ${took} ms, longest task on the page ${Math.max(0, ...tasks).toFixed(0)} ms`);
}
/** How long a fixed sum takes on the page, median of so many, ms: tells a slow machine from a slow page. */
async function sum(): Promise<number> {
  return page.evaluate(
    (times) => {
      const took = Array.from({ length: times }, () => {
        const begun = performance.now();
        let total = 0;
        for (let i = 0; i < 5e6; i++) total += Math.sqrt(i) % 7;
        return total > 0 ? performance.now() - begun : 0;
      });
      return took.sort((a, b) => a - b)[times >> 1] ?? 0;
    },
    sized(9, 1),
  );
}
const worked = (on: Page) => on.getByRole('button', { name: /^(Begin: |Nothing to lift)/ }).waitFor();

await page.goto(url);
await page.getByRole('link', { name: 'Arrange' }).first().waitFor();
// What is asked of the page from here on is Arrange alone.
await page.waitForTimeout(sized(6000, 500));
console.log(`a fixed sum on the page: ${(await sum()).toFixed(0)} ms`);
await timed(`Arrange opened over ${COUNT} supplies, inks into all places made for them`, async (on) => {
  await on.getByRole('link', { name: 'Arrange' }).first().click();
  await worked(on);
});
await page.getByRole('button', { name: /^What: / }).click();
for (const kind of ['Markers', 'Cardstock', 'Ribbons', 'Stickers', 'Companions'].slice(0, sized(5, 1)))
  await timed(`and ${kind.toLowerCase()}`, async (on) => {
    const answer = on.waitForResponse((response) => response.url().endsWith('/arrange/preview'));
    await on.getByRole('checkbox', { name: kind, exact: true }).click();
    await answer;
    await on.waitForTimeout(100);
  });
console.log(`a fixed sum on the page: ${(await sum()).toFixed(0)} ms`);
await timed('begun', async (on) => {
  await on.getByRole('button', { name: /^Begin: / }).click();
  await on.getByRole('button', { name: /^Done/ }).waitFor();
});
for (let lift = 1; lift <= sized(3, 1); lift++)
  await timed(`lift ${lift}`, async (on) => {
    const card = on.getByRole('region', { name: /^Lift / });
    const before = await card.getAttribute('aria-label');
    await on.getByRole('button', { name: /^Done/ }).click();
    await on.waitForFunction(
      (was) =>
        document.querySelector('[role=region][aria-label^="Lift "]')?.getAttribute('aria-label') !== was,
      before,
    );
  });
console.log(`a fixed sum on the page: ${(await sum()).toFixed(0)} ms`);
await browser.close();
server.kill('SIGTERM');
rmSync(folder, { recursive: true, force: true });
