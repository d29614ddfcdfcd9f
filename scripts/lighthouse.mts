/**
 * Measures the wall and the stash of the demo room as a simulated phone meets them the first time, and an empty app of the
 * same framework bundled, packed and served the same way: performance, first and largest paint, blocking, accessibility,
 * best practices, search. Medians. Needs the app built (npm run demo builds it).
 *   npx tsx scripts/lighthouse.mts [runs] [wall|stash|empty]
 */
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { launch } from 'chrome-launcher';
import lighthouse from 'lighthouse';
import playwrightConfig from '../playwright.config.ts';
import { startServer } from '../apps/server/src/test/startServer.ts';
import { at, QUIET_EXPO, run } from './lib.mjs';
import { pack } from './pack.mjs';

const RUNS = Number(process.argv[2] ?? 3);
const only = process.argv[3];
const EMPTY = at('scripts/floor');
const PAGES = {
  wall: { path: '/', app: at('apps/web/dist') },
  stash: { path: '/stash', app: at('apps/web/dist') },
  empty: { path: '/', app: join(EMPTY, 'dist') },
} as const;
const MEASURES = {
  'first paint': 'first-contentful-paint',
  'largest paint': 'largest-contentful-paint',
  blocking: 'total-blocking-time',
} as const;

const median = (values: readonly number[]): number =>
  [...values].sort((p, q) => p - q)[Math.floor(values.length / 2)] ?? NaN;

/** The empty app is built once. */
function buildEmpty(): void {
  if (existsSync(PAGES.empty.app)) return;
  run('npx', ['expo', 'export', '-p', 'web', '--source-maps'], { env: QUIET_EXPO, quiet: true, cwd: EMPTY });
  pack(PAGES.empty.app);
}

const folder = mkdtempSync(join(tmpdir(), 'red-shelf-light-'));
const db = join(folder, 'stash.db');
run('node', [at('apps/server/dist/seed.js')], { env: { RED_SHELF_DB: db }, quiet: true });
const { executablePath, args = [] } = playwrightConfig.projects?.[0]?.use?.launchOptions ?? {};

async function measure(url: string): Promise<Map<string, number[]>> {
  const seen = new Map<string, number[]>();
  const note = (what: string, value: number): void => void seen.set(what, [...(seen.get(what) ?? []), value]);
  for (let i = 0; i < RUNS; i++) {
    const chrome = await launch({
      ...(executablePath ? { chromePath: executablePath } : {}),
      chromeFlags: ['--headless=new', ...args],
    });
    const result = await lighthouse(url, { port: chrome.port, logLevel: 'error', output: 'json' });
    chrome.kill();
    if (!result) throw new Error('Lighthouse measured nothing');
    const { categories, audits } = result.lhr;
    for (const [id, { score }] of Object.entries(categories)) note(id, Math.round(100 * (score ?? 0)));
    for (const [what, audit] of Object.entries(MEASURES)) note(what, audits[audit]?.numericValue ?? NaN);
    if (i > 0) continue;
    for (const { id, score, scoreDisplayMode, title } of Object.values(audits))
      if (score !== null && score < 0.9 && scoreDisplayMode === 'binary') console.log(`  ${id}: ${title}`);
  }
  return seen;
}

try {
  for (const [name, { path, app }] of Object.entries(PAGES)) {
    if (only !== undefined && only !== name) continue;
    if (name === 'empty') buildEmpty();
    const { process: server, url } = await startServer(['apps/server/dist/main.js'], {
      cwd: at('.'),
      db,
      web: app,
    });
    const said = [...(await measure(url + path))].map(([what, values]) =>
      what in MEASURES ? `${what} ${(median(values) / 1000).toFixed(2)} s` : `${what} ${median(values)}`,
    );
    console.log(`${name}: ${said.join(', ')}`);
    await new Promise((ended) => {
      server.once('exit', ended);
      server.kill();
    });
  }
} finally {
  rmSync(folder, { recursive: true, force: true });
}
process.exit(0);
