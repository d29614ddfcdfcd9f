/** Makes docs/screenshots again from the demo room of a fixed day. */
import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import playwrightConfig from '../playwright.config.ts';
import { at, build, install, run } from './lib.mjs';

install();
build();
const folder = mkdtempSync(join(tmpdir(), 'red-shelf-shots-'));
const env = { RED_SHELF_DB: join(folder, 'stash.db'), RED_SHELF_TODAY: '2026-06-01', PORT: '0' };
run('node', [at('apps/server/dist/seed.js')], { env, quiet: true });
const server = spawn(process.execPath, [at('apps/server/dist/main.js')], {
  cwd: at('.'),
  env: { ...process.env, ...env },
});
const url = await new Promise((ready) => {
  server.stdout.on('data', (text) => {
    const found = /ready (http:\S+)/.exec(text.toString());
    if (found) ready(found[1]);
  });
});
mkdirSync(at('docs/screenshots'), { recursive: true });

const browser = await chromium.launch(playwrightConfig.projects[0].use.launchOptions);
const SIZES = { phone: { width: 390, height: 844 }, wide: { width: 1280, height: 800 } };
async function shoot(name, size, path, prepare = async () => {}, colorScheme = 'light') {
  const page = await browser.newPage({ viewport: SIZES[size], colorScheme });
  // The demo room ends on a fixed day; the page must think it is that day.
  await page.clock.install({ time: new Date('2026-06-01T12:00:00Z') });
  await page.goto(url + path);
  await page.getByRole('heading').first().waitFor();
  await prepare(page);
  await page.waitForTimeout(1600);
  await page.screenshot({ path: at(`docs/screenshots/${name}-${size}.png`) });
  await page.close();
}
const search = 'Colour, name, code or place';

await shoot('wall', 'phone', '/');
await shoot('slot', 'phone', '/', async (page) => {
  await page.getByLabel(search).fill('green');
  await page
    .getByRole('button', { name: /, green, full pad/ })
    .nth(1)
    .click();
});
await shoot('stash', 'phone', '/stash');
await shoot('cut', 'wide', '/bench/cut?supply=demo-odd-009', async (page) => {
  await page.getByRole('button', { name: /^Ready sizes/ }).click();
  for (let i = 0; i < 3; i++) await page.getByRole('radio', { name: 'Panel A6' }).click();
  await page.getByRole('radio', { name: 'Base A6' }).click();
  await page.getByRole('button', { name: /^Ready sizes/ }).click();
  await page
    .getByRole('button', { name: /^Next cut/ })
    .first()
    .click();
  await page
    .getByRole('button', { name: /^Next cut/ })
    .first()
    .scrollIntoViewIfNeeded();
  await page.mouse.move(700, 400);
  await page.mouse.wheel(0, 420);
});
await shoot('own', 'phone', '/stash/own?q=%23d85d66');
await shoot('sort-out', 'phone', '/gaps/sort-out', async (page) => {
  await page.getByRole('button', { name: /^Inks/ }).click();
  await page.getByRole('button', { name: 'Later' }).waitFor();
});
await shoot('figures', 'phone', '/gaps/figures', async (page) => {
  await page.getByText(/^In twelve months/).waitFor();
});
await shoot('look', 'phone', '/gaps/look');
await shoot('storage', 'phone', '/storage');
await shoot('unit', 'wide', '/storage?unit=demo-000004', async (page) => {
  await page.getByRole('textbox', { name: 'Height of a row' }).fill('14 cm; 14 cm; 14 cm; 14 cm; 5 cm');
});
await shoot('places', 'phone', '/stash?supply=demo-odd-009');
await shoot('project', 'phone', '/bench/kits', async (page) => {
  await page.getByRole('textbox', { name: 'Its name' }).fill('Harbour cards');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await page.getByRole('textbox', { name: 'How many are made' }).fill('12');
  await page.getByRole('button', { name: 'Make so many' }).click();
  await page.getByRole('button', { name: 'The colours of the palette Regatta' }).click();
  await page.getByRole('radio', { name: 'Heron Mill' }).click();
  await page.getByRole('list', { name: 'The nearest owned' }).waitFor();
});
const planned = (page) => page.getByRole('heading', { name: 'Planned' }).waitFor();
await shoot('arrange', 'phone', '/arrange', planned);
await shoot('gaps', 'phone', '/gaps');
await shoot('wall', 'wide', '/', async (page) =>
  page.getByRole('button', { name: /^Go to A Pad rack/ }).waitFor(),
);
await shoot('stash', 'wide', '/stash?supply=demo-000010', undefined, 'dark');
await shoot('bench', 'phone', '/bench', async (page) => {
  await page.goto(`${url}/`);
  await page.getByRole('button', { name: /^In G, Otter pair/ }).click();
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.getByText('Otter pair moved.').waitFor();
  await page.goto(`${url}/`);
  await page.getByRole('button', { name: /^Slot D1·01/ }).click();
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.getByText(/ moved\.$/).waitFor();
  await page.goto(`${url}/bench`);
  await page
    .getByRole('button', { name: /^Say what was used of (?!Otter)/ })
    .first()
    .click();
  await page.getByRole('textbox', { name: /^How much was used/ }).fill('80 cm');
  await page.getByRole('textbox', { name: /that stays$/ }).fill('30 cm');
});
await shoot('arrange', 'wide', '/arrange', planned);
// Last, since it begins a plan.
await shoot('lifts', 'phone', '/arrange', async (page) => {
  await page.getByRole('button', { name: /^Begin: / }).click();
  await page.getByRole('button', { name: /^Done/ }).waitFor();
});
await browser.close();
server.kill();
rmSync(folder, { recursive: true, force: true });
