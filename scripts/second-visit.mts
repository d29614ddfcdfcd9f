/**
 * How long until the wall of the demo room shows its first slot: on a first visit, and on later ones, when the app's files
 * and the stash are on the device. Medians of so many openings, each in a new page of a browser that was there before.
 *   npx tsx scripts/second-visit.mts [openings]
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type BrowserContext } from '@playwright/test';
import playwrightConfig from '../playwright.config.ts';
import { startServer } from '../apps/server/src/test/startServer.ts';
import { at, run } from './lib.mjs';
import { sized } from './figures/size.mts';

const OPENINGS = Number(process.argv[2] ?? 11);
/** The service worker keeps the app's files some seconds after the page stands. */
const SETTLED_MS = 8000;
const { launchOptions = {} } = playwrightConfig.projects?.[0]?.use ?? {};
const median = (values: readonly number[]): number =>
  [...values].sort((p, q) => p - q)[Math.floor(values.length / 2)] ?? NaN;

const folder = mkdtempSync(join(tmpdir(), 'red-shelf-second-'));
const db = join(folder, 'stash.db');
run('node', [at('apps/server/dist/seed.js')], { env: { RED_SHELF_DB: db }, quiet: true });
const { process: server, url } = await startServer(['apps/server/dist/main.js'], { cwd: at('.'), db });

const context = (name: string): Promise<BrowserContext> =>
  chromium.launchPersistentContext(join(folder, name), {
    ...launchOptions,
    viewport: { width: 390, height: 844 },
  });
/** ms from asking for the page until a slot can be pressed. */
async function open(browser: BrowserContext, settle = 0): Promise<number> {
  const page = await browser.newPage();
  const start = Date.now();
  await page.goto(url, { waitUntil: 'commit' });
  await page.getByRole('button', { name: /^Slot A1·01/ }).waitFor();
  const took = Date.now() - start;
  await page.waitForTimeout(settle);
  await page.close();
  return took;
}

try {
  const first: number[] = [];
  for (let i = 0; i < OPENINGS; i++) {
    const browser = await context(`first-${i}`);
    first.push(await open(browser));
    await browser.close();
  }
  const browser = await context(sized('second', 'first-0'));
  if (sized(true, false)) await open(browser, SETTLED_MS);
  const later: number[] = [];
  for (let i = 0; i < OPENINGS; i++) later.push(await open(browser));
  await browser.close();
  console.log(
    `first visit: ${median(first)} ms; later ones: ${median(later)} ms, the slowest ${Math.max(...later)} ms`,
  );
} finally {
  server.kill();
  rmSync(folder, { recursive: true, force: true });
}
process.exit(0);
