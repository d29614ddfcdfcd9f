import { expect, test } from './room';

test('worth a look: a purpose woken, a limit kept, a nudge switched off and on again', async ({
  page,
  room,
}) => {
  await page.goto(`${room.url}/storage`);
  await page.getByRole('textbox', { name: 'Ribbons' }).fill('32');
  await page.getByRole('button', { name: 'Keep these limits' }).click();
  await page.goto(`${room.url}/gaps/look`);
  await expect(page.getByText('Ribbons: 33 where 32 may be. 1 thing must leave.')).toBeVisible();
  await page
    .getByRole('region', { name: 'One in, one out' })
    .getByRole('button', { name: /^Let go:/ })
    .first()
    .click();
  await expect(page.getByText(/^Ribbons: 33 where 32/)).toBeHidden();
  await page.getByRole('button', { name: 'It is back: Fair-day gems' }).click();
  await expect(page.getByRole('heading', { name: /^To decide now/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'It is back: Fair-day gems' })).toBeHidden();
  await page.getByRole('button', { name: 'Switch off: Never used' }).click();
  await page.getByRole('button', { name: 'Never used: switch on' }).click();
  await expect(page.getByRole('heading', { name: /^Never used · \d+/ })).toBeVisible();
});

test('use only this box: begun, used from, ended', async ({ page, room }) => {
  await page.goto(`${room.url}/gaps/look`);
  await page.getByRole('radio', { name: 'E Sticker album' }).click();
  await page.getByRole('button', { name: 'Only E Sticker album: begin' }).click();
  await expect(page.getByText(/^Only E Sticker album until .*: 0 of \d+ things used/)).toBeVisible();
  await page
    .getByRole('region', { name: 'Use only this box' })
    .getByRole('button', { name: /^Use one: / })
    .first()
    .click();
  await expect(page.getByText(/^Only E Sticker album until .*: 1 of \d+ things used/)).toBeVisible();
  await page.getByRole('button', { name: 'End: only E Sticker album' }).click();
  await expect(page.getByRole('radio', { name: 'E Sticker album' })).toBeVisible();
});

test('out of season is out of sight until a search asks for it', async ({ page, room }) => {
  await page.goto(`${room.url}/settings`);
  await page.getByRole('checkbox', { name: 'Hide what is out of season' }).click();
  await expect(page.getByText('Preferences: kept.')).toBeVisible();
  await page.goto(`${room.url}/stash?kind=sticker`);
  await expect(page.getByText(/^\d+ things out of season, not shown/)).toBeVisible();
  await page.getByLabel('Colour, name, code or place').fill('sticker');
  await expect(page.getByText(/out of season, not shown/)).toBeHidden();
});

test(
  'letters are laid from an alphabet sheet, and a purpose is put to sleep',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/stash?supply=demo-odd-003`);
    await expect(page.getByText(/Running short of A, E, I?,? ?O/)).toBeVisible();
    const word = page.getByRole('textbox', { name: 'Can I lay this word?' });
    await word.fill('hello');
    await expect(page.getByText(/^Not yet: 1 O short/)).toBeVisible();
    await word.fill('shirt');
    await word.press('Enter');
    await expect(page.getByRole('button', { name: 'One S more, 3 now' })).toBeVisible();
    await page.getByRole('button', { name: 'More acts' }).click();
    await page.getByRole('button', { name: 'Let it sleep until its purpose may come back' }).click();
    await page.getByRole('textbox', { name: 'It was for' }).fill('the harvest stall');
    await page.getByRole('button', { name: 'Let it sleep', exact: true }).click();
    await expect(page.getByText(/^Asleep: it was for the harvest stall/)).toBeVisible();
  },
);

test(
  'paper for a medium: the person’s own word first, with reasons',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/guide`);
    await expect(page.getByText(/you noted it as good for this, smooth surface/)).toBeVisible();
    await page.getByRole('radio', { name: 'water colour' }).click();
    await expect(page.getByText(/None of these is known to suit/)).toBeVisible();
  },
);
