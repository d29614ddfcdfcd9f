import { expect, test } from './room';

const INKS = 120;
const csv = (n: number): string =>
  ['Shade;Hex;No.;Brand;How many']
    .concat(
      Array.from(
        { length: n },
        (_, i) =>
          `Drift ${i};#${((i * 98_317) % 0xffffff).toString(16).padStart(6, '0')};${9000 + i};Wickmoor;1`,
      ),
    )
    .join('\n');

test(
  'from a list to a rainbow rack, used from and run low, and still there after a restart',
  { tag: '@both' },
  async ({ page, room }) => {
    // Bring in a real list: columns in their own order, mapped, previewed, imported.
    await page.goto(`${room.url}/data/import`);
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose a CSV' }).click();
    await (
      await chooser
    ).setFiles({
      name: 'inks.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(csv(INKS) + '\nBad row;greenery-ish;1;Wickmoor;1'),
    });
    await expect(page.getByText('121 rows, parted by semicolons')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Column Shade: Name' })).toBeVisible();
    await expect(page.getByRole('radio', { name: '120 added' })).toBeVisible();
    // The columns stand at their beginning, and nothing has taken the focus.
    await expect(page.getByRole('button', { name: 'Column Shade: Name' })).toBeInViewport({ ratio: 1 });
    await page.getByRole('radio', { name: '1 refused' }).click();
    await expect(page.getByText('colour “greenery-ish” is not a colour')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Import 120 supplies' })).toBeDisabled();
    await page.getByRole('checkbox', { name: /^Leave the 1 refused row out/ }).click();
    await page.getByRole('button', { name: 'Import 120 supplies' }).click();
    await expect(page.getByText('120 supplies brought in.')).toBeVisible();

    // Give them a rack of their own.
    await page.goto(`${room.url}/rack`);
    await page.getByRole('textbox', { name: 'Name' }).fill('Drift rack');
    await page.getByLabel('Rows', { exact: true }).fill('13');
    await page.getByLabel('Columns', { exact: true }).fill('10');
    await page.getByRole('button', { name: 'Put it up' }).click();
    await expect(page.getByRole('heading', { name: 'Drift rack' })).toBeVisible();

    // Arrange: before and after with figures, apply, undo, apply again.
    await page.goto(`${room.url}/arrange`);
    await page.getByRole('button', { name: /^Into: / }).click();
    await page
      .getByRole('group', { name: 'Places to arrange into' })
      .getByRole('checkbox', { name: 'A Pad rack' })
      .click();
    const apply = page.getByRole('button', { name: /^It stands so already/ });
    await expect(apply).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Now' })).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Planned' })).toBeVisible();
    await expect(page.getByText('family breaks')).toBeVisible();
    await apply.click();
    await expect(page.getByText(/Drift rack arranged: \d+ moves/)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Nothing to lift' })).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('Undone.')).toBeVisible();
    await apply.click();
    await expect(page.getByRole('button', { name: 'Nothing to lift' })).toBeVisible();

    // On the wall: search, tap a slot, use one.
    await page.goto(room.url);
    await page.getByLabel('Colour, name, code or place').fill('9007');
    await expect(page.getByText('1 match, 1 of them on the wall')).toBeVisible();
    const slot = page.getByRole('button', { name: /Drift 7, / });
    await slot.click();
    const panel = page.getByRole('complementary', { name: 'What lives here' });
    await expect(panel.getByText('Drift 7', { exact: true })).toBeVisible();
    await panel.getByRole('button', { name: 'Use one: Drift 7' }).click();
    await expect(page.getByText('Drift 7: noted.')).toBeVisible();
    await expect(panel.getByText(/last used less than a minute ago/)).toBeVisible();

    // Count it down: it turns up in Gaps.
    await panel.getByRole('button', { name: 'Look closer' }).click();
    await page.getByRole('button', { name: 'Count', exact: true }).click();
    await page.getByRole('radio', { name: 'low' }).click();
    await page.getByRole('button', { name: 'Note it: count' }).click();
    await expect(page.getByText(/counted low/)).toBeVisible();
    await page.goto(`${room.url}/gaps`);
    await expect(page.getByRole('link', { name: 'Drift 7', exact: true })).toBeVisible();

    // Stop and start the server: all of it is still there.
    await room.restart();
    await page.reload();
    await expect(page.getByRole('link', { name: 'Drift 7', exact: true })).toBeVisible();
    await page.goto(room.url);
    await expect(page.getByRole('heading', { name: 'Drift rack' })).toBeVisible();
    await page.getByLabel('Colour, name, code or place').fill('Drift');
    await expect(page.getByText('120 matches, 120 of them on the wall')).toBeVisible();
  },
);

test('5,000 rows come in with progress', { tag: '@wide' }, async ({ page, room }) => {
  // The size of the window makes no difference to it.
  await page.goto(`${room.url}/data/import`);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a CSV' }).click();
  await (await chooser).setFiles({ name: 'many.csv', mimeType: 'text/csv', buffer: Buffer.from(csv(5000)) });
  await page.getByRole('button', { name: 'Import 5,000 supplies' }).click();
  await expect(page.getByText(/Importing: \d+ of 5000/)).toBeVisible();
  await expect(page.getByText('5,000 supplies brought in.')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/^5,\d\d\d supplies$/)).toBeVisible();
});
