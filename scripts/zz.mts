import { chromium } from '@playwright/test';
import { cpSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import playwrightConfig from '../playwright.config.ts';
import { openStore } from '../apps/server/src/db/open.ts';
import { systemPorts } from '../apps/server/src/services/ports.ts';
import { restoreDocument } from '../apps/server/src/services/restore.ts';
import { startServer } from '../apps/server/src/test/startServer.ts';
import { demoRoom } from '../apps/server/src/demo/room.ts';
const db = join(mkdtempSync(join(tmpdir(), 'zz-')), 's.db');
const store = await openStore(db, 'apps/server/drizzle');
await restoreDocument({ store, ports: systemPorts }, demoRoom(Date.now()));
store.close();
const { process: server, url } = await startServer(['apps/server/dist/main.js'], { cwd: process.cwd(), db });
const browser = await chromium.launch(playwrightConfig.projects[0].use.launchOptions);
const sizes = { phone: { width: 390, height: 844 }, wide: { width: 1280, height: 800 } };
const which = (process.argv[2] ?? 'phone') as keyof typeof sizes;
const page = await browser.newPage({ viewport: sizes[which] });
page.on('console', (m) => m.type() === 'error' && console.log('console:', m.text()));
page.on('pageerror', (e) => console.log('pageerror:', e.message));
const shot = (name: string) => page.screenshot({ path: `/tmp/zz/${which}-${name}.png` });
try {
  const steps = (await import(process.argv[3]!)).default;
  await steps(page, url, shot);
} catch (e) { console.log(e); await shot('failed'); }
await browser.close();
server.kill('SIGTERM');
