import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, test } from './room';

async function saved(page: Page, button: string) {
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: button }).click();
  const file = await download;
  return { name: file.suggestedFilename(), text: readFileSync(await file.path(), 'utf8') };
}

async function choose(page: Page, button: string, name: string, content: Buffer) {
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: button }).click();
  await (await chooser).setFiles({ name, mimeType: 'application/octet-stream', buffer: content });
}

test(
  'the whole stash goes out as one document and comes back over a changed one; that is undone too',
  { tag: '@wide' },
  async ({ page, room }) => {
    // The size of the window makes no difference to it.
    await page.goto(`${room.url}/data`);
    const { name, text } = await saved(page, 'Without photos, as JSON');
    expect(name).toBe('red-shelf-stash.json');
    const kept = JSON.parse(text) as { units: { id: string }[] };
    const units = kept.units.map((unit) => (unit.id === 'room' ? { ...unit, name: 'Attic wall' } : unit));
    const renamed = Buffer.from(JSON.stringify({ ...kept, units }));
    await choose(page, 'Choose a backup or document', 'attic.json', renamed);
    await expect(page.getByText('Replace everything by “attic.json”?')).toBeVisible();
    await page.getByRole('button', { name: 'Replace' }).click();
    await expect(page.getByText(/The stash was replaced: 238 supplies/)).toBeVisible();
    await page.getByRole('link', { name: 'Wall' }).click();
    await expect(page.getByRole('heading', { name: 'Attic wall' })).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('heading', { name: 'Boathouse wall' })).toBeVisible();
  },
);

test(
  'the list goes out as CSV and, brought in again, changes nothing',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/data`);
    const { name, text } = await saved(page, 'Save as CSV');
    expect(name).toBe('red-shelf-stash.csv');
    await page.getByRole('button', { name: 'Choose a CSV' }).click();
    await expect(page.getByRole('heading', { name: 'Bring in a list' })).toBeVisible();
    await choose(page, 'Choose a CSV', 'again.csv', Buffer.from(text));
    await expect(page.getByRole('radio', { name: '237 unchanged' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Nothing to import' })).toBeDisabled();
  },
);

test('files that cannot be read are answered with a sentence', { tag: '@wide' }, async ({ page, room }) => {
  // The size of the window makes no difference to it.
  await page.goto(`${room.url}/data/import`);
  await choose(page, 'Choose a CSV', 'open.csv', Buffer.from('Name,Colour\n"Fern,#333\nMoss,#444\n'));
  await expect(page.getByText(/quotation mark is opened and never properly closed/)).toBeVisible();
  await choose(page, 'Choose a CSV', 'huge.csv', Buffer.alloc(20 * 1024 * 1024, 'Fern,#333\n'));
  await expect(page.getByText(/20 MB is too large: at most 8 MB at once/)).toBeVisible();
  await page.goto(`${room.url}/data`);
  await choose(page, 'Choose a backup or document', 'other.json', Buffer.from('{"format":"other"}'));
  await page.getByRole('button', { name: 'Replace' }).click();
  await expect(page.getByText(/not a Red Shelf document/)).toBeVisible();
});
