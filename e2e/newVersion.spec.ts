import { appendFileSync, cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test as base } from './room';

/** The built app in a folder of its own, so that it can become another one. */
const test = base.extend<{ web: string }>({
  web: async ({}, use) => {
    const folder = mkdtempSync(join(tmpdir(), 'red-shelf-web-'));
    cpSync('apps/web/dist', folder, { recursive: true });
    // Served packed, it would be the old one still.
    for (const packed of ['sw.js.br', 'sw.js.gz']) rmSync(join(folder, packed), { force: true });
    await use(folder);
    rmSync(folder, { recursive: true, force: true });
  },
});
test.use({ serviceWorkers: 'allow' });

test('a new version says that it is there, and is loaded when the person wants it', async ({
  page,
  room,
  web,
}) => {
  // The size of the window makes no difference to it.
  await page.goto(`${room.url}/stash`);
  await page.evaluate(() => navigator.serviceWorker.ready);
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
  const note = page.getByText('A new version of Red Shelf is there.');
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Stash' })).toBeVisible();
  await expect(note).toBeHidden();
  appendFileSync(join(web, 'sw.js'), '\n// newer');
  await page.reload();
  await expect(note).toBeVisible();
  await page.getByRole('button', { name: 'Load it' }).click();
  await expect(note).toBeHidden();
  await expect(page.getByRole('heading', { name: 'Stash' })).toBeVisible();
  expect(
    await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.waiting ?? null),
  ).toBeNull();
});
