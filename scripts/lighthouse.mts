/**
 * Measures the wall and the stash of the demo room as a simulated phone meets them the first time: performance, largest
 * paint, blocking, accessibility, best practices, search. Medians of three. Needs the app built (npm run demo builds it).
 *   npx tsx scripts/lighthouse.mts [runs]
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { launch } from 'chrome-launcher';
import lighthouse from 'lighthouse';
import playwrightConfig from '../playwright.config.ts';
import { startServer } from '../apps/server/src/test/startServer.ts';
import { at, run } from './lib.mjs';

const RUNS = Number(process.argv[2] ?? 3);
const PAGES = { wall: '/', stash: '/stash' } as const;
const folder = mkdtempSync(join(tmpdir(), 'red-shelf-light-'));
const db = join(folder, 'stash.db');
run('node', [at('apps/server/dist/seed.js')], { env: { RED_SHELF_DB: db }, quiet: true });
const { process: server, url } = await startServer(['apps/server/dist/main.js'], { cwd: process.cwd(), db });
const { executablePath, args = [] } = playwrightConfig.projects?.[0]?.use?.launchOptions ?? {};

const median = (values: readonly number[]): number =>
  [...values].sort((p, q) => p - q)[Math.floor(values.length / 2)] ?? NaN;
const MEASURES = {
  'first paint': 'first-contentful-paint',
  'largest paint': 'largest-contentful-paint',
  blocking: 'total-blocking-time',
} as const;

try {
  for (const [name, path] of Object.entries(PAGES)) {
    const seen = new Map<string, number[]>();
    const note = (what: string, value: number): void =>
      void seen.set(what, [...(seen.get(what) ?? []), value]);
    for (let i = 0; i < RUNS; i++) {
      const chrome = await launch({
        ...(executablePath ? { chromePath: executablePath } : {}),
        chromeFlags: ['--headless=new', ...args],
      });
      const result = await lighthouse(url + path, { port: chrome.port, logLevel: 'error', output: 'json' });
      chrome.kill();
      if (!result) throw new Error('Lighthouse measured nothing');
      const { categories, audits } = result.lhr;
      for (const [id, { score }] of Object.entries(categories)) note(id, Math.round(100 * (score ?? 0)));
      for (const [what, audit] of Object.entries(MEASURES)) note(what, audits[audit]?.numericValue ?? NaN);
      for (const { id, score, scoreDisplayMode, title } of Object.values(audits))
        if (i === 0 && score !== null && score < 0.9 && scoreDisplayMode === 'binary')
          console.log(`  ${id}: ${title}`);
    }
    const said = [...seen].map(([what, values]) =>
      what in MEASURES ? `${what} ${(median(values) / 1000).toFixed(2)} s` : `${what} ${median(values)}`,
    );
    console.log(`${name}: ${said.join(', ')}`);
  }
} finally {
  server.kill();
  rmSync(folder, { recursive: true, force: true });
}
process.exit(0);
