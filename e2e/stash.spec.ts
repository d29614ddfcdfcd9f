import { expect, test } from './room';

const KINDS = [
  { kind: 'Ink', form: 'mini pad', name: 'Puddle One', hex: '#336699', amount: '2', left: '2 · full' },
  { kind: 'Marker', form: 'paint marker', name: 'Puddle Two', hex: 'tomato', amount: '1', left: 'full' },
  { kind: 'Cardstock', form: 'letter', name: 'Puddle Three', hex: 'c3b', amount: '24', left: '24 sheets' },
  {
    kind: 'Ribbon',
    form: 'spool',
    name: 'Puddle Four',
    hex: 'rgb(20 120 60)',
    amount: '3 yd',
    left: '2.74 m',
  },
  { kind: 'Stickers', form: 'sheet', name: 'Puddle Five', hex: '#ffdd55', amount: '6', left: '6 left' },
];

test('a supply of every kind is added, and stands in the list with what is left', async ({ page, room }) => {
  await page.goto(`${room.url}/stash/add`);
  for (const { kind, form, name, hex, amount } of KINDS) {
    await page.getByRole('radio', { name: kind, exact: true }).click();
    await page.getByRole('radio', { name: form, exact: true }).click();
    await page.getByRole('textbox', { name: 'Name' }).fill(name);
    await page.getByLabel('Colour', { exact: true }).fill(hex);
    await page.getByLabel(/^How m/).fill(amount);
    await page.getByRole('button', { name: 'Add and next' }).click();
    await expect(page.getByText(`${name} added.`)).toBeVisible();
    await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('');
  }
  await page.goto(`${room.url}/stash`);
  await page.getByLabel('Colour, name, code or place').fill('puddle');
  for (const { name, left } of KINDS) {
    const row = page.getByRole('button', { name: new RegExp(name) });
    await expect(row).toBeVisible();
    await expect(row.getByText(left, { exact: true })).toBeVisible();
  }
});

test(
  'a half-filled form survives leaving, and bad input is answered with a sentence',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/stash/add`);
    await page.getByRole('textbox', { name: 'Name' }).fill('Half done');
    await page.getByLabel('Colour', { exact: true }).fill('sort of green');
    await page.goto(`${room.url}/stash`);
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Half done');
    await page.getByRole('button', { name: 'Add and look' }).click();
    await expect(page.getByText(/“sort of green” is not a colour I know/)).toBeVisible();
    await page.getByLabel('Colour', { exact: true }).fill('seagreen');
    await page.getByLabel('How many').fill('-3');
    await page.getByRole('button', { name: 'Add and look' }).click();
    await expect(page.getByText(/less than nothing/)).toBeVisible();
    await page.getByLabel('How many').fill('1');
    await page.getByRole('button', { name: 'Add and look' }).click();
    await expect(page.getByRole('heading', { name: 'Half done' })).toBeVisible();
  },
);

test(
  'edit, use, refill, buy, discard and remove, each with undo',
  { tag: '@both' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/stash`);
    await page.getByLabel('Colour, name, code or place').fill('full pad 405');
    await page.getByRole('button', { name: /Towpath 405/ }).click();
    const said = (text: RegExp | string) => expect(page.getByText(text).first()).toBeVisible();
    await page.getByRole('button', { name: 'Edit' }).click();
    await page.getByRole('textbox', { name: 'Name' }).fill('Renamed Rope');
    await page.getByRole('button', { name: 'Save' }).click();
    await said('Renamed Rope changed.');
    await expect(page.getByRole('heading', { name: 'Renamed Rope' })).toBeVisible();
    await page.getByRole('button', { name: 'Use one' }).click();
    await said(/last used less than a minute ago/);
    await page.getByRole('button', { name: 'Refill' }).click();
    await said(/· refilled/);
    await page.getByRole('button', { name: 'Buy', exact: true }).click();
    await page.getByRole('button', { name: 'Note it: buy' }).click();
    await said(/· bought 1/);
    await page.getByRole('button', { name: 'Discard' }).click();
    await page.getByRole('button', { name: 'Note it: discard' }).click();
    await said(/· discarded 1/);
    await page.getByRole('button', { name: 'Undo' }).click();
    await said(/took an earlier entry back/);
    await page.getByRole('button', { name: 'More acts' }).click();
    await page.getByRole('button', { name: 'Remove' }).click();
    await said('Renamed Rope removed.');
    await expect(page.getByText('236 supplies')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('237 supplies')).toBeVisible();
  },
);

test(
  'two windows edit one supply: the second sees both versions and chooses',
  { tag: '@wide' },
  async ({ page, room, context }) => {
    // The size of the window makes no difference to it.
    await page.goto(`${room.url}/stash?supply=demo-000010`);
    const other = await context.newPage();
    await other.goto(`${room.url}/stash?supply=demo-000010`);
    for (const each of [page, other]) await each.getByRole('button', { name: 'Edit' }).click();
    await page.getByRole('textbox', { name: 'Name' }).fill('First Word');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('First Word changed.')).toBeVisible();
    await other.getByRole('textbox', { name: 'Name' }).fill('Second Word');
    await other.getByRole('button', { name: 'Save' }).click();
    await expect(other.getByText(/changed in another window/)).toBeVisible();
    await expect(other.getByText(/yours “Second Word”, theirs “First Word”/)).toBeVisible();
    await other.getByRole('button', { name: 'Keep mine' }).click();
    await expect(other.getByRole('heading', { name: 'Second Word' })).toBeVisible();
  },
);
