import sharp from 'sharp';
import { expect, test } from './room';

test('a photo is kept with a supply as a small picture, and the undo takes it off again', async ({
  page,
  room,
}) => {
  await page.goto(`${room.url}/stash?supply=demo-000007`);
  const choose = async (name: string, buffer: Buffer): Promise<void> => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Add a photo' }).click();
    await (await chooser).setFiles({ name, mimeType: 'image/jpeg', buffer });
  };
  await choose('cat.jpg', Buffer.from('not a picture at all'));
  await expect(page.getByText(/That is not a picture/)).toBeVisible();
  const image = sharp({ create: { width: 1200, height: 800, channels: 3, background: '#4c9a52' } });
  await choose('pad.jpg', await image.jpeg().toBuffer());
  const thumb = page.getByRole('img', { name: /photo 1$/ });
  await expect(thumb).toBeVisible();
  // The place for it is drawn before the picture itself has come.
  const width = (): Promise<number> => thumb.evaluate((img: HTMLImageElement) => img.naturalWidth);
  await expect.poll(width).toBeGreaterThan(0);
  expect(await width()).toBeLessThanOrEqual(240);
  await page.reload();
  await expect(thumb).toBeVisible();
  await page.getByRole('button', { name: 'Drop photo 1' }).click();
  await expect(thumb).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(thumb).toBeVisible();
});

test('the same thing in another colour keeps everything but name, code and colour', async ({
  page,
  room,
}) => {
  await page.goto(`${room.url}/stash?q=satin&kind=ribbon`);
  await page.getByRole('button', { name: /spool/ }).first().click();
  await page.getByRole('button', { name: 'More acts' }).click();
  await page.getByRole('button', { name: 'Add the same thing in another colour' }).click();
  await expect(page.getByRole('textbox', { name: 'Maker' })).toHaveValue('Brindlebobbin');
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('');
  await expect(page.getByRole('button', { name: /^What it is: Ribbon · .*satin/ })).toBeVisible();
  await page.getByRole('textbox', { name: 'Name' }).fill('Other Sash');
  await page.getByRole('textbox', { name: 'Colour', exact: true }).fill('#2f9596');
  await page.getByLabel(/^How much/).fill('3 yd');
  await page.getByRole('button', { name: 'Add and look' }).click();
  await expect(page.getByRole('heading', { name: 'Other Sash' })).toBeVisible();
  await expect(page.getByText('satin', { exact: true })).toBeVisible();
});

test(
  'a kit is begun, filled by searching, and dissolved without losing its things',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/bench/kits`);
    await page.getByRole('button', { name: 'Begin', exact: true }).click();
    await expect(page.getByText('The name is missing.', { exact: false })).toBeVisible();
    await page.getByRole('radio', { name: 'kit' }).click();
    await page.getByRole('textbox', { name: 'Its name' }).fill('Winter cards');
    await page.getByRole('button', { name: 'Begin', exact: true }).click();
    await page.getByRole('button', { name: 'Choose what is in it' }).click();
    await page.getByLabel('Colour, name, code or place').fill('ember latch full pad');
    await page.getByRole('checkbox', { name: /Ember Latch/ }).click();
    await expect(page.getByText('Winter cards: kept.')).toBeVisible();
    await page.getByRole('button', { name: 'Close', exact: true }).click();
    const inIt = page.getByRole('list', { name: 'In it' });
    await expect(inIt.getByRole('link', { name: 'Ember Latch', exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Dissolve…' }).click();
    await page.getByRole('button', { name: 'Dissolve it' }).click();
    await expect(page.getByText(/its things stand on their own/)).toBeVisible();
    // For a moment it is named twice: as what was in it, and as what is free again.
    await expect(page.getByText('Ember Latch').first()).toBeVisible();
  },
);
