import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { expect, test } from './room';

/** What lives in a slot of the wall, by its address. */
const slot = (page: Page, address: string) =>
  page.getByRole('button', { name: new RegExp(`^Slot ${address}[,:]`) }).first();
const RACK = '/storage?unit=demo-000000';

test('a rack gets a column more: everything keeps its row, and a name of one’s own stays with its place', async ({
  page,
  room,
}) => {
  await page.goto(room.url);
  const before = (await slot(page, 'A2·01').getAttribute('aria-label')) ?? '';
  const thing = before.replace('Slot A2·01', '');
  await page.goto(room.url + RACK);
  const columns = page.getByRole('textbox', { name: 'Columns', exact: true });
  await columns.fill(String(Number(await columns.inputValue()) + 1));
  await page.getByRole('textbox', { name: 'Place', exact: true }).fill('A2·03');
  await page.getByRole('textbox', { name: 'Its own name' }).fill('Reds');
  await page.getByRole('button', { name: 'Name it' }).click();
  await expect(page.getByText('A2·03 is A·Reds')).toBeVisible();
  await expect(page.getByText(/will have no place/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText('Pad rack: the wall was changed.')).toBeVisible();
  await page.goto(room.url);
  await expect(slot(page, 'A2·01')).toHaveAttribute('aria-label', `Slot A2·01${thing}`);
  await expect(slot(page, 'A·Reds')).toBeVisible();
});

test('a closed place has a picture with its day, which is shown with what is in it', async ({
  page,
  room,
}) => {
  await page.goto(room.url + RACK);
  const image = sharp({ create: { width: 600, height: 400, channels: 3, background: '#7a5a42' } });
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Add a photo' }).click();
  await (
    await chooser
  ).setFiles({
    name: 'door.jpg',
    mimeType: 'image/jpeg',
    buffer: await image.jpeg().toBuffer(),
  });
  await expect(page.getByRole('img', { name: /^Pad rack on \d+ \w+ \d{4}$/ })).toBeVisible();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText('Pad rack: the wall was changed.')).toBeVisible();
  await page.goto(room.url);
  await slot(page, 'A1·01').click();
  await expect(page.getByRole('img', { name: /^Pad rack on/ })).toBeVisible();
});

test('what a person does everywhere is said once, and minded again when that is taken back', async ({
  page,
  room,
}) => {
  await page.goto(`${room.url}/storage?unit=demo-paper-drawer`);
  await expect(page.getByText(/^Lying, paper stays flat/)).toBeVisible();
  await page.getByRole('button', { name: 'I keep them so everywhere' }).first().click();
  await expect(page.getByText(/You keep them so everywhere\.$/)).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Mind it again everywhere' }).click();
  await expect(page.getByRole('button', { name: 'I keep them so everywhere' }).first()).toBeVisible();
});

test('what stands behind something has a place of its own', async ({ page, room }) => {
  await page.goto(`${room.url}/rack?template=deep-bottle-grid`);
  await page.getByRole('button', { name: 'Put it up' }).click();
  await expect(page.getByText('Deep bottle grid: the wall was changed.')).toBeVisible();
  await page.goto(room.url);
  await expect(page.getByRole('button', { name: /^Slot P2·04·2[,:]/ })).toBeAttached();
});

test.describe('the room', () => {
  test.use({ wall: 'room' });
  for (const scheme of ['light', 'dark'] as const)
    test(`has no serious or critical accessibility finding, ${scheme}`, async ({ page, room }) => {
      await page.emulateMedia({ colorScheme: scheme });
      await page.goto(room.url);
      await expect(page.getByRole('button', { name: 'Go to Drawer tower' })).toBeVisible();
      await page.getByRole('button', { name: /^How far things are/ }).click();
      const { violations } = await new AxeBuilder({ page }).analyze();
      const grave = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
      expect(grave.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
    });
});
