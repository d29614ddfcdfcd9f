import { expect, test } from './room';

test('search in plain words, with a slip forgiven, and filters that combine and stay in the address', async ({
  page,
  room,
}) => {
  await page.goto(`${room.url}/stash`);
  const field = page.getByLabel('Colour, name, code or place');
  await field.fill('pale green satin');
  await expect(page).toHaveURL(/q=pale\+green\+satin|q=pale%20green%20satin/);
  await expect(page.getByText(/^\d+ of 237 supplies/)).toBeVisible();
  await field.fill('unplaced inks');
  await expect(page.getByText('no place').first()).toBeVisible();
  await field.fill('mraker teal');
  await expect(page.getByRole('button', { name: /alcohol dual-tip/ }).first()).toBeVisible();
  await field.fill('');
  await page.getByRole('button', { name: 'Filters' }).click();
  await page.getByRole('checkbox', { name: 'Never used' }).click();
  await page.getByRole('button', { name: 'Standing: any but gone' }).click();
  await page.getByRole('radio', { name: 'retired' }).click();
  await expect(page).toHaveURL(/asks=unused/);
  await expect(page).toHaveURL(/status=retired/);
  const shown = await page.getByText(/^\d+ of 237 supplies/).textContent();
  await page.reload();
  await expect(page.getByText(shown ?? '')).toBeVisible();
});

test('many are changed at once, and one undo takes it all back', async ({ page, room }) => {
  await page.goto(`${room.url}/stash?q=ember`);
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('button', { name: 'Choose many' }).click();
  await page.getByRole('button', { name: 'All shown' }).click();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByRole('textbox', { name: 'Add tags' }).fill('glowing');
  await page.getByRole('button', { name: /^Change \d+ supplies/ }).click();
  await expect(page.getByText(/\d+ supplies changed/)).toBeVisible();
  await page.goto(`${room.url}/stash?tag=glowing`);
  await expect(page.getByText(/^\d+ of 237 supplies/)).toBeVisible();
  await page.goto(`${room.url}/journal`);
  await page.getByRole('button', { name: /^Undo: \d+ supplies changed/ }).click();
  await expect(page.getByText('Undone.', { exact: true })).toBeVisible();
  await page.goto(`${room.url}/stash?tag=glowing`);
  await expect(page.getByText('Nothing matches. Try fewer words.')).toBeVisible();
});

test('two records that are one thing become one', { tag: '@wide' }, async ({ page, room }) => {
  await page.goto(`${room.url}/stash?q=ember latch full pad`);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Ember Latch');
  await page.getByRole('textbox', { name: 'Colour', exact: true }).fill('#d85d66');
  await page.getByRole('button', { name: 'Add and look' }).click();
  await page.goto(`${room.url}/stash?q=ember latch full pad`);
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('button', { name: 'Choose many' }).click();
  await page.getByRole('button', { name: 'All shown' }).click();
  await page.getByRole('button', { name: 'They are one thing' }).click();
  await expect(page.getByText('Ember Latch: two records are one now.')).toBeVisible();
  await expect(page.getByText('1 of 237 supplies')).toBeVisible();
});

test(
  'the rainbow is the person’s own: neutrals first, shown on a live strip, and the list follows',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/arrange/families`);
    await page.getByRole('button', { name: 'Neutrals first' }).click();
    await expect(page.getByRole('img', { name: /^Your stash, Neutral, Red/ })).toBeVisible();
    await page.getByRole('button', { name: 'Keep it so' }).click();
    await expect(page.getByText('Preferences: kept.')).toBeVisible();
    await page.goto(`${room.url}/settings`);
    await page.getByRole('radio', { name: 'inches and ounces' }).click();
    await expect(page.getByText('Preferences: kept.')).toBeVisible();
    await page.goto(`${room.url}/stash`);
    await expect(page.getByRole('heading', { level: 2 }).first()).toHaveText('Neutral');
    await page.goto(`${room.url}/stash?q=satin&kind=ribbon`);
    await page.getByRole('button', { name: /spool/ }).first().click();
    await expect(page.getByText(/^\d.* in$/).first()).toBeVisible();
  },
);

test('card is counted by its stack, cut into bases, and put aside for a project', async ({ page, room }) => {
  await page.goto(`${room.url}/stash?kind=cardstock&q=ember latch`);
  await page.getByRole('button', { name: /Ember Latch.*12 × 12/ }).click();
  await page.getByRole('button', { name: 'Count', exact: true }).click();
  await page.getByRole('textbox', { name: 'Height, pressed by hand' }).fill('9 mm');
  await expect(page.getByText(/about \d+ sheets \(\d+–\d+\)/)).toBeVisible();
  await page.getByRole('button', { name: 'Note it as the count' }).click();
  await page.getByRole('button', { name: 'Cut', exact: true }).click();
  await page.getByRole('button', { name: 'Note it: cut' }).click();
  await expect(page.getByText(/Beside the full sheets: 2 cut bases/)).toBeVisible();
  await page.getByRole('button', { name: 'More acts' }).click();
  await page.getByRole('button', { name: 'Put aside' }).click();
  await page.getByRole('textbox', { name: 'For the project' }).fill('Winter cards');
  await page.getByRole('textbox', { name: 'How much' }).fill('999');
  await page.getByRole('button', { name: 'Put it aside' }).click();
  await expect(page.getByText(/more than is left and free/)).toBeVisible();
  await page.getByRole('textbox', { name: 'How much' }).fill('4');
  await page.getByRole('button', { name: 'Put it aside' }).click();
  await expect(page.getByText(/4 put aside for Winter cards/)).toBeVisible();
  // A project is there as such: what it keeps is seen on its page, and closing it gives that back.
  await page.goto(`${room.url}/bench/kits`);
  await page.getByRole('button', { name: /Project “Winter cards”/ }).click();
  await expect(page.getByLabel('Sheets kept of Ember Latch')).toHaveValue('4');
  await page.getByRole('button', { name: 'Close it…' }).click();
  await expect(page.getByText(/^4 free again/)).toBeVisible();
  await page.getByRole('button', { name: 'Close it', exact: true }).click();
  await expect(page.getByText('It is closed: it keeps nothing back.')).toBeVisible();
});
