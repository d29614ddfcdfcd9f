/**
 * Makes a stash of 10,000 supplies and prints what a person feels of its size, in headless Chromium on this machine:
 * the first screen, the other screens that judge everything, search while typing, scrolling, memory. Needs the app built (npm run demo builds it).
 *   npx tsx scripts/big-stash.mts [how many]
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
import { bigRoom } from './big/room.mts';
import { sized } from './figures/size.mts';

const COUNT = Number(process.argv[2] ?? 10_000);
const RUNS = sized(9, 1);
const FRAMES = sized(240, 10);
/** Shortens waiting, ms, where nothing is measured. */
const wait = (ms: number): number => sized(ms, ms / 4);
const median = (values: number[]): number =>
  [...values].sort((p, q) => p - q)[Math.floor(values.length / 2)] ?? NaN;
const say = (values: number[]): string =>
  `${median(values).toFixed(0)} ms median of ${values.length} (slowest ${Math.max(...values).toFixed(0)} ms)`;

const folder = mkdtempSync(join(tmpdir(), 'red-shelf-big-'));
const db = join(folder, 'stash.db');
const store = await openStore(db, 'apps/server/drizzle');
const filling = performance.now();
await restoreDocument({ store, ports: systemPorts }, bigRoom(COUNT));
console.log(`${COUNT} supplies brought in by a document in ${(performance.now() - filling).toFixed(0)} ms`);
store.close();

const [{ process: server, url }, browser] = await Promise.all([
  startServer(['apps/server/dist/main.js'], { cwd: process.cwd(), db }),
  chromium.launch(playwrightConfig.projects[0].use.launchOptions),
]);

interface Shown {
  readonly size: { width: number; height: number };
  readonly path?: string;
  /** What the screen says once it is there. */
  readonly says?: string;
}

/** From asking for a page to the frame in which what it is for stands on it, as the page's own clock has it. */
async function firstScreen({
  size,
  path = '/stash',
  says = 'Thing \\d',
}: Shown): Promise<{ cold: number; warm: number }> {
  const context = await browser.newContext({ viewport: size });
  const page = await context.newPage();
  await page.addInitScript((words) => {
    const state = window as unknown as { firstRow?: number };
    const wanted = new RegExp(words);
    new MutationObserver((_, observer) => {
      if (!wanted.test(document.body?.textContent ?? '')) return;
      observer.disconnect();
      requestAnimationFrame(() => (state.firstRow = performance.now()));
    }).observe(document, { childList: true, subtree: true });
  }, says);
  const read = async (): Promise<number> => {
    await page.waitForFunction(() => (window as unknown as { firstRow?: number }).firstRow, null, {
      polling: wait(400),
    });
    return page.evaluate(() => (window as unknown as { firstRow: number }).firstRow);
  };
  await page.goto(`${url}${path}`, { waitUntil: 'commit' });
  const cold = await read();
  await page.reload({ waitUntil: 'commit' });
  const warm = await read();
  await context.close();
  return { cold, warm };
}

/** From the key that completes a query to the list showing what it found; measured in the page, to the frame. */
async function typing(page: Page, query: string): Promise<number> {
  const field = page.getByLabel('Colour, name, code or place');
  await field.fill('');
  await page.waitForTimeout(wait(400));
  await page.evaluate(() => {
    const list = document.querySelector('[role=main]');
    const state = window as unknown as { typed: number; shown: number };
    state.typed = 0;
    state.shown = 0;
    addEventListener('input', () => (state.typed = performance.now()), { once: true, capture: true });
    const watch = new MutationObserver(() => {
      if (state.typed) requestAnimationFrame(() => (state.shown = performance.now()));
    });
    if (list) watch.observe(list, { childList: true, subtree: true, characterData: true });
  });
  await field.fill(query);
  await page.waitForTimeout(wait(700));
  return page.evaluate(() => {
    const state = window as unknown as { typed: number; shown: number };
    return state.shown - state.typed;
  });
}

/** From a tap on “Use one” to the frame in which one sheet less is left; measured in the page. */
async function using(page: Page): Promise<number> {
  // What the one supply says of itself, beside the list.
  const left = (): Promise<number> =>
    page.evaluate(() => {
      const facts =
        [...document.querySelectorAll('h1')].at(-1)?.parentElement?.parentElement?.textContent ?? '';
      return Number(/(\d+) sheets/.exec(facts)?.[1]);
    });
  const before = await left();
  await page.evaluate((want) => {
    const state = window as unknown as { tapped: number; shown: number };
    state.shown = 0;
    // No named function in here: the page knows nothing of the helper that keeps names.
    const less = new RegExp(`(?<!\\d)${want} sheets?`);
    const watch = new MutationObserver(() => {
      if (state.shown || !less.test(document.body.textContent ?? '')) return;
      state.shown = 1;
      requestAnimationFrame(() => (state.shown = performance.now()));
      watch.disconnect();
    });
    watch.observe(document.body, { childList: true, subtree: true, characterData: true });
    addEventListener('click', () => (state.tapped = performance.now()), { once: true, capture: true });
  }, before - 1);
  await page.getByRole('button', { name: 'Use one', exact: true }).click();
  await page.waitForFunction(() => (window as unknown as { shown: number }).shown > 1, null, {
    polling: 100,
  });
  await page.waitForTimeout(wait(900));
  return page.evaluate(() => {
    const { shown, tapped } = window as unknown as { tapped: number; shown: number };
    return shown - tapped;
  });
}

/** Scrolls for a while; answers frames, frames in which the middle of the list was blank, and the longest run of them. */
async function scrolling(page: Page): Promise<{ frames: number; blank: number; longest: number }> {
  return page.evaluate(async (most) => {
    const rows = [...document.querySelectorAll<HTMLElement>('[role=main] *')].filter(
      (each) => each.scrollHeight > each.clientHeight * 4 && getComputedStyle(each).overflowY !== 'visible',
    );
    const list = rows.sort((p, q) => q.scrollHeight - p.scrollHeight)[0];
    if (!list) throw new Error('no list to scroll');
    const box = list.getBoundingClientRect();
    let [frames, blank, longest, run] = [0, 0, 0, 0];
    for (let i = 0; i < most; i++) {
      list.scrollTop += 220;
      await new Promise(requestAnimationFrame);
      frames++;
      const at = [0.25, 0.5, 0.75].map((share) =>
        document.elementFromPoint(box.left + 60, box.top + box.height * share),
      );
      const empty =
        at.some((each) => !each || !each.closest('[role=button], h2, [role=heading]')) &&
        at.filter((each) => each?.textContent?.trim()).length < 3;
      run = empty ? run + 1 : 0;
      if (empty) blank++;
      longest = Math.max(longest, run);
    }
    return { frames, blank, longest };
  }, FRAMES);
}

for (const [name, size] of [
  ['phone', { width: 390, height: 844 }],
  ['wide', { width: 1280, height: 800 }],
] as const) {
  if (sized(false, name !== 'phone')) continue;
  const runs = [];
  for (let run = 0; run < RUNS; run++) runs.push(await firstScreen({ size }));
  console.log(`first screen, ${name}, nothing cached: ${say(runs.map(({ cold }) => cold))}`);
  console.log(`first screen, ${name}, opened before: ${say(runs.map(({ warm }) => warm))}`);
}

const PHONE = { width: 390, height: 844 };
for (const [path, says] of [
  ['/gaps/look', 'Ten you forgot[^]*Thing \\d'],
  ['/gaps/sort-out', 'with a question mark'],
  ['/arrange/order', 'In how many drawers[^]*things'],
  ['/storage', 'on the wall'],
  ['/gaps', 'Thing \\d'],
] as const) {
  if (sized(false, true)) continue;
  const runs = [];
  for (let run = 0; run < RUNS; run++) runs.push(await firstScreen({ size: PHONE, path, says }));
  console.log(`${path}, phone, opened before: ${say(runs.map(({ warm }) => warm))}`);
}

const page = await browser.newPage({ viewport: PHONE });
await page.goto(`${url}/stash`);
await page
  .getByText(/^Thing \d/)
  .first()
  .waitFor();
const QUERIES = [
  'pale green ribbon',
  'wide red satin',
  'unplaced inks',
  'thing 4321',
  '#4c9a52',
  'dark teal marker',
  'grean card',
  'osselwick',
  'low',
  'thing 77',
];
const times: number[] = [];
for (const query of QUERIES.slice(0, sized(QUERIES.length, 1))) {
  const took = await typing(page, query);
  console.log(`  “${query}”: ${took.toFixed(0)} ms`);
  times.push(took);
}
console.log(`search after the last key: ${say(times)}`);
await page.getByLabel('Colour, name, code or place').fill('');
await page.waitForTimeout(wait(600));

const acting = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await acting.goto(`${url}/stash?kind=cardstock`);
await acting
  .getByRole('button', { name: /\d{2,} sheets/ })
  .first()
  .click();
await acting.getByRole('button', { name: 'Use one', exact: true }).waitFor();
await acting.waitForTimeout(sized(1500, 400));
const acts: number[] = [];
for (let run = 0; run < RUNS; run++) acts.push(await using(acting));
console.log(`an act shows after the tap, list and thing side by side: ${say(acts)}`);
await acting.close();

const client = await page.context().newCDPSession(page);
await client.send('Performance.enable');
async function memory(): Promise<{ heap: number; nodes: number }> {
  await client.send('HeapProfiler.collectGarbage');
  const { metrics } = await client.send('Performance.getMetrics');
  const read = (name: string) => metrics.find((metric) => metric.name === name)?.value ?? 0;
  return { heap: read('JSHeapUsedSize') / 1e6, nodes: read('Nodes') };
}
await scrolling(page);
const before = await memory();
const passes = [];
for (let pass = 0; pass < sized(4, 1); pass++) passes.push(await scrolling(page));
const after = await memory();
for (const { frames, blank, longest } of passes)
  console.log(
    `scrolling 220 px a frame: ${blank} of ${frames} frames had a blank row, at most ${longest} in a row`,
  );
console.log(
  `memory: ${before.heap.toFixed(1)} → ${after.heap.toFixed(1)} MB of heap, ${before.nodes} → ${after.nodes} nodes after ${passes.length * FRAMES} frames of scrolling`,
);
await browser.close();
server.kill('SIGTERM');
rmSync(folder, { recursive: true, force: true });
