/**
 * The longest task on the page's main thread while a phone is used, its processor simulated (4 times slower): opening each
 * main screen with nothing kept, going there from another, searching, typing, dragging, arranging, importing. Longest of so
 * many runs, ms. Needs the app built (npm run demo builds it).
 *   npx tsx scripts/page-tasks.mts [supplies: demo, or how many] [runs] [only what has this in its name]
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import playwrightConfig from '../playwright.config.ts';
import { startServer } from '../apps/server/src/test/startServer.ts';
import { sized } from './figures/size.mts';
import { ACTS, FROM_THE_WALL, SCREENS } from './page/acts.mts';
import { stashOf } from './page/stash.mts';
import { watchTasks } from './page/tasks.mts';

const SIZE = process.argv[2] ?? 'demo';
const RUNS = Number(process.argv[3] ?? 3);
const only = process.argv[4] ?? '';
const SLOWER = 4;
/** What is started by opening goes on a little after the screen stands. */
const SETTLED_MS = sized(3000, 500);

const folder = mkdtempSync(join(tmpdir(), 'red-shelf-page-'));
const db = join(folder, 'stash.db');
await stashOf(SIZE, db);
const { process: server, url } = await startServer(['apps/server/dist/main.js'], { cwd: process.cwd(), db });
const browser = await chromium.launch(playwrightConfig.projects?.[0]?.use?.launchOptions ?? {});

const found = new Map<string, number[]>();
const note = (what: string, longest: number): void =>
  void found.set(what, [...(found.get(what) ?? []), longest]);

/** A new phone, on which nothing is kept. */
async function phone(): Promise<{ page: Page; longest: () => Promise<number>; close: () => Promise<void> }> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await context.newPage();
  const client = await context.newCDPSession(page);
  await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  const longest = await watchTasks(page);
  return { page, longest, close: () => context.close() };
}
const chosen = (what: string): boolean => what.includes(only);

for (let run = 0; run < RUNS; run++) {
  for (const { name, path, stands } of SCREENS.slice(0, sized(SCREENS.length, 1))) {
    const what = `opening ${name}`;
    if (!chosen(what)) continue;
    const { page, longest, close } = await phone();
    await page.goto(url + path, { waitUntil: 'commit' });
    await stands(page).waitFor({ timeout: 60_000 });
    await page.waitForTimeout(SETTLED_MS);
    note(what, await longest());
    await close();
  }
  for (const [acts, path] of [
    [FROM_THE_WALL, '/'],
    ...ACTS.map((act) => [[act], act.path] as const),
  ] as const) {
    const some = acts.filter(({ name }) => chosen(name));
    if (some.length === 0 || sized(false, true)) continue;
    const { page, longest, close } = await phone();
    await page.goto(url + path);
    await page.waitForTimeout(15_000);
    await longest();
    for (const { name, act } of some) {
      await act(page);
      await page.waitForTimeout(1500);
      note(name, await longest());
    }
    await close();
  }
}
const rows = [...found].map(([what, each]) => ({
  what,
  worst: Math.max(...each),
  median: [...each].sort((p, q) => p - q)[each.length >> 1] ?? NaN,
}));
for (const { what, worst, median } of rows)
  console.log(`${what}: median ${median.toFixed(0)}, longest ${worst.toFixed(0)} ms`);
const worst = rows.reduce((p, q) => (q.median > p.median ? q : p));
console.log(`of all, medians, the longest task: ${worst.median.toFixed(0)} ms (${worst.what})`);
await browser.close();
server.kill('SIGTERM');
rmSync(folder, { recursive: true, force: true });
process.exit(0);
