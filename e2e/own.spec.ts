import { expect, test } from './room';

test('do I own it: by name, code, hex and barcode, with where it is and how much is left', async ({
  page,
  room,
}) => {
  await page.goto(`${room.url}/stash`);
  await page.getByRole('button', { name: 'Do I own it?' }).click();
  const ask = (text: string) => page.getByLabel('Colour, name, code or place').fill(text);
  const verdict = page.getByTestId('verdict');
  await ask('Ember Latch');
  await expect(verdict).toHaveText('Yes');
  const pad = page.getByRole('button', { name: /Ember Latch.*full pad/ });
  await expect(pad).toContainText('the same name');
  await expect(pad).toContainText(/[A-E]\d·\d\d/);
  await ask('embre latch');
  await expect(verdict).toHaveText('Not quite');
  await expect(page.getByText('nearly the same name').first()).toBeVisible();
  await ask('#d85e67');
  await expect(verdict).toHaveText('Yes');
  await expect(page.getByText(/you could not tell them apart/).first()).toBeVisible();
  await ask('#123321');
  await expect(verdict).not.toHaveText('Yes');
  await ask('zeppelin');
  await expect(verdict).toHaveText('No');
  await ask('teal');
  await expect(verdict).toHaveText('Yes');
  await expect(page.getByText(/^You have \d+ things like that/)).toBeVisible();
  // In plain words, of one kind, in any order.
  await ask('ink, red');
  await expect(verdict).toHaveText('Yes');
  await expect(page.getByText('all that you asked for').first()).toBeVisible();
  await ask('neon green velvet ribbon 90 mm');
  await expect(verdict).not.toHaveText('Yes');
  await ask('#d85e67');
  await page.getByRole('radio', { name: 'Ribbons' }).click();
  await expect(page).toHaveURL(/kind=ribbon/);
  await expect(page.getByRole('button', { name: /Ember Latch.*full pad/ })).toBeHidden();
  await page.getByRole('radio', { name: 'All' }).click();
  await page.getByRole('button', { name: 'Scan a barcode' }).click();
  await page.getByRole('button', { name: 'Scan Ember Latch' }).click();
  await expect(verdict).toHaveText('Yes');
  await expect(page.getByText('the same barcode')).toBeVisible();
  await page.getByRole('button', { name: 'Scan a barcode' }).click();
  await page.getByRole('button', { name: 'Scan A pad from the shop shelf' }).click();
  await expect(verdict).toHaveText('No');
  await ask('4006381333930');
  await expect(page.getByText(/the barcode was misread/)).toBeVisible();
});

test('adding what is there already says so before it is added', async ({ page, room }) => {
  await page.goto(`${room.url}/stash/add`);
  await page.getByRole('textbox', { name: 'Name' }).fill('Ember Latch');
  await expect(page.getByText(/You have Ember Latch already \(the same name\)/)).toBeVisible();
});
