/**
 * Measures the wall and the stash of the demo room as a simulated phone meets them the first time, and an empty app of the
 * same framework bundled, packed and served the same way: performance, first and largest paint, blocking, accessibility,
 * best practices, search. Medians, taken in turn so that a slow minute of the machine meets all, and their ratio to the
 * empty app. Needs the app built (npm run demo builds it).
 *   npx tsx scripts/lighthouse.mts [runs] [wall|stash|empty]
 */
import { copyFileSync, existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import playwrightConfig from '../playwright.config.ts';
import { startServer } from '../apps/server/src/test/startServer.ts';
import { at, QUIET_EXPO, run } from './lib.mjs';
import { scoringTool } from './lighthouse/tool.mts';
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
async function buildEmpty(): Promise<void> {
  if (existsSync(join(PAGES.empty.app, 'index.html'))) return;
  run('npx', ['expo', 'export', '-p', 'web'], { env: QUIET_EXPO, quiet: true, cwd: EMPTY });
  await pack(PAGES.empty.app);
}

const folder = mkdtempSync(join(tmpdir(), 'red-shelf-light-'));
const db = join(folder, 'stash.db');
run('node', [at('apps/server/dist/seed.js')], { env: { RED_SHELF_DB: db }, quiet: true });
const { executablePath, args = [] } = playwrightConfig.projects?.[0]?.use?.launchOptions ?? {};

const { launch, lighthouse } = await scoringTool();

type Seen = Map<string, number[]>;

/** One opening; what is wrong with the page is said the first time. */
async function open(url: string, seen: Seen): Promise<void> {
  const first = seen.size === 0;
  const note = (what: string, value: number): void => void seen.set(what, [...(seen.get(what) ?? []), value]);
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
  if (!first) return;
  for (const { id, score, scoreDisplayMode, title } of Object.values(audits))
    if (score !== null && score < 0.9 && scoreDisplayMode === 'binary') console.log(`  ${id}: ${title}`);
}

const seen = new Map<string, Seen>();
const servers = [];
try {
  for (const [name, { path, app }] of Object.entries(PAGES)) {
    if (only !== undefined && only !== name) continue;
    if (name === 'empty') await buildEmpty();
    const own = join(folder, `${name}.db`);
    copyFileSync(db, own);
    const { process: server, url } = await startServer(['apps/server/dist/main.js'], {
      cwd: at('.'),
      db: own,
      web: app,
    });
    servers.push({ name, server, url: url + path });
    seen.set(name, new Map());
  }
  for (let i = 0; i < RUNS; i++)
    for (const { name, url } of servers) await open(url, seen.get(name) ?? new Map());
  const floor = seen.get('empty');
  for (const [name, values] of seen) {
    const said = [...values].map(([what, each]) => {
      const value = median(each);
      if (!(what in MEASURES)) return `${what} ${value}`;
      const times =
        floor && name !== 'empty' ? ` (${(value / median(floor.get(what) ?? [])).toFixed(2)}×)` : '';
      return `${what} ${(value / 1000).toFixed(2)} s${times}`;
    });
    console.log(`${name}: ${said.join(', ')}`);
  }
} finally {
  for (const { server } of servers) server.kill();
  rmSync(folder, { recursive: true, force: true });
}
process.exit(0);
