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
import { leastStolen } from './figures/stolen.mts';
import { ACTS, FROM_THE_WALL, SCREENS } from './page/acts.mts';
import { stashOf } from './page/stash.mts';
import { watchTasks } from './page/tasks.mts';

const SIZE = process.argv[2] ?? 'demo';
const RUNS = Number(process.argv[3] ?? 3);
const only = process.argv[4] ?? '';
const SLOWER = 4;
/** How often an act is measured again while the host takes processor time away. */
const TRIES = 4;
/** What is started by opening goes on a little after the screen stands. */
const SETTLED_MS = sized(3000, 500);

const folder = mkdtempSync(join(tmpdir(), 'red-shelf-page-'));
const db = join(folder, 'stash.db');
await stashOf(SIZE, db);
const { process: server, url } = await startServer(['apps/server/dist/main.js'], { cwd: process.cwd(), db });
const browser = await chromium.launch(playwrightConfig.projects?.[0]?.use?.launchOptions ?? {});

const found = new Map<string, number[]>();
let mostStolen = 0;
/** Measures until the host lets it be: what it takes would be counted as the page's. */
async function note(measure: () => Promise<(readonly [what: string, longest: number])[]>): Promise<void> {
  const { found: each, stolen } = await leastStolen(measure, sized(TRIES, 1));
  mostStolen = Math.max(mostStolen, stolen);
  for (const [what, longest] of each) found.set(what, [...(found.get(what) ?? []), longest]);
}

/** A new phone, on which nothing is kept. */
async function onPhone<T>(use: (page: Page, longest: () => Promise<number>) => Promise<T>): Promise<T> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await context.newPage();
  const client = await context.newCDPSession(page);
  await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  const result = await use(page, await watchTasks(page));
  await context.close();
  return result;
}
const chosen = (what: string): boolean => what.includes(only);

// What brings thousands of things in comes last: the others are measured over the stash as it was.
for (const grown of Array.from({ length: 2 * RUNS }, (_, i) => i >= RUNS)) {
  for (const { name, path, stands } of grown ? [] : SCREENS.slice(0, sized(SCREENS.length, 1))) {
    const what = `opening ${name}`;
    if (!chosen(what)) continue;
    await note(() =>
      onPhone(async (page, longest) => {
        await page.goto(url + path, { waitUntil: 'commit' });
        await stands(page).waitFor({ timeout: 60_000 });
        await page.waitForTimeout(SETTLED_MS);
        return [[what, await longest()]];
      }),
    );
  }
  for (const [acts, path] of [
    [FROM_THE_WALL, '/'],
    ...ACTS.map((act) => [[act], act.path] as const),
  ] as const) {
    const some = acts.filter(({ name, grows = false }) => chosen(name) && grows === grown);
    if (some.length === 0 || sized(false, true)) continue;
    await note(() =>
      onPhone(async (page, longest) => {
        await page.goto(url + path);
        await page.waitForTimeout(15_000);
        await longest();
        const each: [string, number][] = [];
        for (const { name, act } of some) {
          await act(page);
          await page.waitForTimeout(1500);
          each.push([name, await longest()]);
        }
        return each;
      }),
    );
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
console.log(`while anything of this was measured the host took at most ${mostStolen} ms`);
await browser.close();
server.kill('SIGTERM');
rmSync(folder, { recursive: true, force: true });
process.exit(0);
