import { chromium } from '@playwright/test';
import { startServer } from '../apps/server/src/test/startServer.ts';
import { spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
const folder = mkdtempSync(join(tmpdir(), 'zz-'));
const db = join(folder, 'stash.db');
spawnSync(process.execPath, ['apps/server/dist/seed.js'], { env: { ...process.env, RED_SHELF_DB: db, RED_SHELF_TODAY: '2026-06-01' } });
const { process: server, url } = await startServer(['apps/server/dist/main.js'], { cwd: process.cwd(), db });
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-quic'] });
for (const [name, size, scheme] of [['phone', { width: 390, height: 844 }, 'light'], ['wide', { width: 1280, height: 800 }, 'dark']] as const) {
  const page = await browser.newPage({ viewport: size, colorScheme: scheme });
  page.on('console', (m) => m.type() === 'error' && console.log(name, m.text()));
  const shot = async (what: string, full = false) => { await page.waitForTimeout(900); await page.screenshot({ path: `/tmp/zz-${what}-${name}.png`, fullPage: full }); };
  await page.goto(`${url}/`);
  await page.waitForTimeout(1500);
  const tint = page.getByRole('button', { name: /^How far things are/ });
  if (await tint.count()) { await tint.click(); }
  await shot('room');
  await page.goto(`${url}/bench/kits`); await shot('kits');
  await page.goto(`${url}/storage?unit=demo-000000`);
  await page.getByText('Names of one').first().waitFor({ timeout: 2000 }).catch(() => {});
  await shot('unit');
  await page.getByText('Photos', { exact: true }).scrollIntoViewIfNeeded(); await shot('unit2');
}
await browser.close();
server.kill();
process.exit(0);
