import { expect, test } from './room';

test(
  'sorting out a pile: verdicts, what they free, left and taken up again, and undone',
  { tag: '@both' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/gaps/sort-out`);
    await page.getByRole('button', { name: /^Inks: 57/ }).click();
    await expect(page.getByText('0 of 57 decided')).toBeVisible();
    await page.getByRole('button', { name: 'Keep (1)' }).click();
    await expect(page.getByText('1 of 57 decided')).toBeVisible();
    const name = (await page.getByRole('heading', { level: 2 }).first().textContent()) ?? '';
    await page.getByRole('button', { name: 'Let go (4)' }).click();
    await expect(page.getByText('2 of 57 decided')).toBeVisible();
    await expect(page.getByText(/Let go: 1 thing, frees 1 slot, \d+ cm along the shelf/)).toBeVisible();
    await page.getByRole('button', { name: 'Pass on (3)' }).click();
    await expect(page.getByText('3 of 57 decided')).toBeVisible();
    await page.getByRole('button', { name: 'Leave it for now' }).click();
    await page.getByRole('button', { name: /Inks, .*: 3 decided/ }).click();
    await expect(page.getByText('3 of 57 decided')).toBeVisible();
    // What was let go keeps its history under "gone", and every verdict can be taken back.
    await page.goto(`${room.url}/stash?status=gone`);
    await expect(page.getByRole('button', { name: new RegExp(name) })).toBeVisible();
    await page.goto(`${room.url}/journal`);
    await page
      .getByRole('button', { name: `Undo: ${name} is out of your stash. Its history stays.` })
      .first()
      .click();
    await expect(page.getByText(/changed since|Undone/).first()).toBeVisible();
  },
);

test('verdicts with the keyboard', { tag: '@wide' }, async ({ page, room }) => {
  await page.goto(`${room.url}/gaps/sort-out`);
  await page.getByRole('button', { name: /^Ribbons/ }).click();
  await expect(page.getByText(/^0 of \d+ decided/)).toBeVisible();
  await page.keyboard.press('1');
  await expect(page.getByText(/^1 of \d+ decided/)).toBeVisible();
  await page.keyboard.press('2');
  await expect(page.getByText(/^2 of \d+ decided/)).toBeVisible();
});

test('rack by rack: a pile narrowed to one rack, and a rack that hurts sorted out whole', async ({
  page,
  room,
}) => {
  await page.goto(`${room.url}/gaps/sort-out`);
  await page.getByRole('button', { name: /^Inks: 57/ }).click();
  const zones = page.getByRole('radiogroup', { name: 'Rack by rack' });
  await expect(zones.getByRole('radio', { name: 'everywhere: 0 of 57' })).toBeChecked();
  const rack = zones.getByRole('radio', { name: /^A / });
  const [, total] = (await rack.textContent())?.match(/0 of (\d+)/) ?? [];
  await rack.click();
  await page.getByRole('button', { name: 'Let go (4)' }).click();
  await expect(zones.getByRole('radio', { name: new RegExp(`^A .*: 1 of ${total}$`) })).toBeChecked();
  await page.goto(`${room.url}/gaps/sort-out`);
  const worst = page.getByRole('list', { name: 'Where it hurts most' });
  await worst
    .getByRole('button', { name: /^Sort out / })
    .first()
    .click();
  await expect(page.getByText(/^0 of \d+ decided/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep (1)' }).click();
  await expect(page.getByText(/^1 of \d+ decided/)).toBeVisible();
});
