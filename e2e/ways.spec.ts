import { Jimp, JimpMime } from 'jimp';
import type { Page } from '@playwright/test';
import { expect, test } from './room';

const openWays = async (page: Page, way: string): Promise<void> => {
  await page.getByRole('button', { name: /Take a colour/ }).click();
  await page.getByRole('radio', { name: way, exact: true }).click();
};
const colour = (page: Page) => page.getByRole('textbox', { name: 'Colour', exact: true });

/** Half white paper, half a swatch, photographed under yellow light. */
async function lampPhoto(): Promise<Buffer> {
  const image = new Jimp({ width: 200, height: 100, color: 0xeeddb0ff });
  image.composite(new Jimp({ width: 100, height: 100, color: 0x4f7468ff }), 100, 0);
  return image.getBuffer(JimpMime.png);
}

test.beforeEach(async ({ page, room }) => {
  await page.goto(`${room.url}/stash/add`);
});

test('a colour by its name, suggested as one types', async ({ page }) => {
  await openWays(page, 'Name');
  await page.getByRole('textbox', { name: 'Colour name' }).fill('forest green');
  await page.getByRole('button', { name: 'Take Forest Green', exact: true }).click();
  await expect(colour(page)).toHaveValue(/^#[0-9a-f]{6}$/);
  await expect(page.getByText(/^green, \d+% sure/)).toBeVisible();
});

test('a colour on the wheel, with the keyboard alone', async ({ page }) => {
  await openWays(page, 'Wheel');
  const hue = page.getByRole('slider', { name: 'Hue' });
  await page.getByRole('slider', { name: 'Grey to vivid' }).focus();
  for (let i = 0; i < 50; i++) await page.keyboard.press('ArrowRight');
  await hue.focus();
  for (let i = 0; i < 75; i++) await page.keyboard.press('ArrowRight');
  await page.getByRole('button', { name: /^Take #/ }).click();
  await expect(page.getByText(/^(blue|purple), \d+% sure/)).toBeVisible();
});

test('a colour from a photo: the white of the paper takes the lamp out of it', async ({ page }) => {
  await openWays(page, 'Photo');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose or take a picture' }).click();
  await (await chooser).setFiles({ name: 'swatch.png', mimeType: 'image/png', buffer: await lampPhoto() });
  const picture = page.locator('canvas');
  // Measured at each tap: the page may have moved since.
  const tap = async (x: number): Promise<void> => {
    const { width, height } = (await picture.boundingBox()) ?? { width: 1, height: 1 };
    await picture.click({ position: { x: width * x, y: height / 2 } });
  };
  await expect(page.getByText('Tap the white of the paper')).toBeVisible();
  await tap(0.75);
  await expect(page.getByText(/something in the picture is much whiter/)).toBeVisible();
  await tap(0.25);
  await expect(page.getByText('Now tap the colour')).toBeVisible();
  await tap(0.75);
  await expect(page.getByText(/spread \d\.\d ΔE/)).toBeVisible();
  await page.getByRole('button', { name: /^Take #/ }).click();
  // Under the lamp it looks green; on white paper it is teal.
  await expect(page.getByText(/^(teal|blue|grey), \d+% sure/)).toBeVisible();
});

test('what is no picture is refused with a sentence', async ({ page }) => {
  await openWays(page, 'Photo');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose or take a picture' }).click();
  await (await chooser).setFiles({ name: 'song.mp3', mimeType: 'image/png', buffer: Buffer.from('la la') });
  await expect(page.getByText(/“song.mp3” is not a picture/)).toBeVisible();
});

test('a patterned sheet gives its colours; one becomes its home, the others are kept for searching', async ({
  page,
  room,
}) => {
  await page.getByRole('radio', { name: 'Cardstock', exact: true }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Checked Sheet');
  await openWays(page, 'Photo');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose or take a picture' }).click();
  const sheet = new Jimp({ width: 200, height: 100, color: 0xc23030ff });
  sheet.composite(new Jimp({ width: 70, height: 100, color: 0x2050b0ff }), 0, 0);
  const buffer = await sheet.getBuffer(JimpMime.png);
  await (await chooser).setFiles({ name: 'sheet.png', mimeType: 'image/png', buffer });
  await page.getByRole('button', { name: 'Colours of the whole sheet' }).click();
  await page.getByText(/proposed/).click();
  await page.getByRole('button', { name: 'Add and look' }).click();
  await expect(page.getByRole('heading', { name: 'Checked Sheet' })).toBeVisible();
  await expect(page.getByText('Also found by')).toBeVisible();
  await page.goto(`${room.url}/stash?q=blue checked`);
  await expect(page.getByRole('button', { name: /Checked Sheet/ })).toBeVisible();
});

test('a true swatch with the colour reader: three readings, and it decides the colour', async ({
  page,
  room,
}) => {
  await page.goto(`${room.url}/stash?supply=demo-000006`);
  await page.getByRole('button', { name: 'Add a swatch' }).click();
  for (const n of [1, 2, 3]) await page.getByRole('button', { name: `Take reading ${n} of 3` }).click();
  await page.getByRole('button', { name: /^Take #/ }).click();
  await page.getByRole('button', { name: 'Keep as the true colour' }).click();
  await expect(page.getByText('stamped on white, true')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('stamped on white, true')).toHaveCount(0);
});
