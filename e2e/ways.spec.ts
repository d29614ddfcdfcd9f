import sharp, { type Sharp } from 'sharp';
import type { Page } from '@playwright/test';
import { expect, test } from './room';

const openWays = async (page: Page, way: string): Promise<void> => {
  await page.getByRole('button', { name: /Take a colour/ }).click();
  await page.getByRole('radio', { name: way, exact: true }).click();
};
const colour = (page: Page) => page.getByRole('textbox', { name: 'Colour', exact: true });

const plain = (width: number, height: number, background: string) =>
  sharp({ create: { width, height, channels: 3, background } });
const halves = async (under: Sharp, over: Sharp, left: number): Promise<Buffer> =>
  under
    .composite([{ input: await over.png().toBuffer(), left, top: 0 }])
    .png()
    .toBuffer();

/** Half white paper, half a swatch, photographed under yellow light. */
async function lampPhoto(): Promise<Buffer> {
  return halves(plain(200, 100, '#eeddb0'), plain(100, 100, '#4f7468'), 100);
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

test('a colour on the wheel, with the keyboard alone', { tag: '@wide' }, async ({ page }) => {
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

test(
  'a patterned sheet gives its colours; one becomes its home, the others are kept for searching',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.getByRole('radio', { name: 'Cardstock', exact: true }).click();
    await page.getByRole('textbox', { name: 'Name' }).fill('Checked Sheet');
    await openWays(page, 'Photo');
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose or take a picture' }).click();
    const buffer = await halves(plain(200, 100, '#c23030'), plain(70, 100, '#2050b0'), 0);
    await (await chooser).setFiles({ name: 'sheet.png', mimeType: 'image/png', buffer });
    await page.getByRole('button', { name: 'Colours of the whole sheet' }).click();
    await page.getByText(/proposed/).click();
    await page.getByRole('button', { name: 'Add and look' }).click();
    await expect(page.getByRole('heading', { name: 'Checked Sheet' })).toBeVisible();
    await expect(page.getByText('Also found by')).toBeVisible();
    await page.goto(`${room.url}/stash?q=blue checked`);
    await expect(page.getByRole('button', { name: /Checked Sheet/ })).toBeVisible();
  },
);

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
