import { expect, test } from './room';

test(
  'an edit, a rack and a pile half done are there again after leaving, and gone once they are kept',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/stash?supply=demo-000010`);
    await page.getByRole('button', { name: 'Edit', exact: true }).click();
    await page.getByRole('textbox', { name: 'Name' }).fill('Half a name');
    await page.goto(`${room.url}/gaps`);
    await page.goto(`${room.url}/stash?supply=demo-000010`);
    await page.getByRole('button', { name: 'Edit', exact: true }).click();
    await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Half a name');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('heading', { name: 'Half a name' })).toBeVisible();

    await page.goto(`${room.url}/storage?unit=demo-000001`);
    await page.getByRole('textbox', { name: 'At most' }).fill('70');
    await page.goto(`${room.url}/storage`);
    await page.getByRole('link', { name: 'B Marker tray' }).click();
    await expect(page.getByRole('textbox', { name: 'At most' })).toHaveValue('70');
    await page.getByRole('button', { name: 'Leave it as it was' }).click();
    await page.getByRole('link', { name: 'B Marker tray' }).click();
    await expect(page.getByRole('textbox', { name: 'At most' })).toHaveValue('');

    await page.goto(`${room.url}/stash/pile`);
    await page.getByRole('button', { name: 'Start the pile' }).click();
    await page.getByText('0 entered').waitFor();
    await page.getByRole('textbox', { name: 'Name' }).fill('Weir Lantern');
    await page.reload();
    await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Weir Lantern');
    await page.getByLabel('Colour', { exact: true }).fill('#2f9596');
    await page.getByRole('button', { name: 'Add it, and the next one' }).click();
    await expect(page.getByText('1 entered')).toBeVisible();
    await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('');
    await page.reload();
    await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('');
  },
);
