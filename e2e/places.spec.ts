import { expect, test } from './room';

test('a supply in several places: each with what and how much, found, moved in part, and taken back', async ({
  page,
  room,
}) => {
  await page.goto(`${room.url}/stash?q=scraps`);
  await page
    .getByRole('button', { name: /Quiet White/ })
    .first()
    .click();
  const places = page.getByRole('list', { name: 'Where it is' });
  await expect(places.getByRole('listitem')).toHaveCount(4);
  await expect(places.getByText(/H Cupboard box · 2 unopened packs/)).toBeVisible();
  await expect(places.getByText(/I Scrap pocket · scraps 110 × 60 mm · 4 of them/)).toBeVisible();
  await places.getByRole('button', { name: /^no place, 40 sheets/ }).click();
  await places.getByRole('button', { name: 'Move Quiet White' }).click();
  await places.getByRole('radio', { name: 'C Card file' }).click();
  await places.getByRole('textbox', { name: 'How many of it' }).fill('15');
  await places.getByRole('button', { name: 'Move it there' }).click();
  await expect(page.getByText('Quiet White moved.')).toBeVisible();
  await expect(places.getByText(/C Card file · 15 sheets/)).toBeVisible();
  await expect(page.getByText(/put in C1·\d\d/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(places.getByRole('button', { name: /^no place, 40 sheets/ })).toBeVisible();
});

test('a drawer without cells: looked into, something taken to the bench and put back in', async ({
  page,
  room,
}) => {
  await page.goto(room.url);
  await page.getByRole('button', { name: /^In G, Otter pair/ }).click();
  const panel = page.getByRole('complementary', { name: 'What lives here' });
  await expect(panel.getByText('Otter pair', { exact: true })).toBeVisible();
  await panel.getByRole('button', { name: 'To the bench' }).click();
  await expect(page.getByText('Otter pair moved.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^In G, Otter pair/ })).toHaveCount(0);
  await page.goto(`${room.url}/stash?q=otter%20pair`);
  await page.getByRole('button', { name: /Otter pair/ }).click();
  const places = page.getByRole('list', { name: 'Where it is' });
  await places.getByRole('button', { name: /^on the bench/ }).click();
  await places.getByRole('button', { name: 'Move Otter pair' }).click();
  await places.getByRole('radio', { name: 'G Odds drawer' }).click();
  await places.getByRole('button', { name: 'Move it there' }).click();
  await expect(places.getByRole('button', { name: /^G, 1 left/ })).toBeVisible();
});

test(
  'a rack’s sizes are typed and drawn as one types; what no longer fits is named, loses its place, and gets it back',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/storage`);
    await page.getByRole('link', { name: 'E Sticker album' }).click();
    await expect(page.getByText(/^25 slots, the first 10 cm × 14 cm × 4 mm inside/)).toBeVisible();
    await page.getByRole('textbox', { name: 'Height of a row' }).fill('14 cm; 14 cm; 14 cm; 14 cm; 5 cm');
    await expect(page.getByText(/^\d+ things will have no place, and stay in the stash: /)).toBeVisible();
    await page.getByRole('textbox', { name: 'Letter' }).fill('A');
    await page.getByRole('button', { name: 'Keep it so' }).click();
    await expect(page.getByText('Pad rack has the letter A already; choose another.')).toBeVisible();
    await page.getByRole('textbox', { name: 'Letter' }).fill('S');
    await page.getByRole('button', { name: 'Keep it so' }).click();
    await expect(page.getByText(/the wall was changed\. Without a place now: /)).toBeVisible();
    await expect(page.getByRole('link', { name: 'S Sticker album' })).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('link', { name: 'E Sticker album' })).toBeVisible();
  },
);

test('an answer that is lost on its way does not count twice', async ({ page, room }) => {
  // The size of the window makes no difference to it.
  // The server does it; what it answers never arrives, the first time.
  await page.addInitScript(() => {
    const send = window.fetch;
    let sent = 0;
    window.fetch = async (...given) => {
      const answer = await send(...given);
      if (String(given[0]).endsWith('/ledger') && sent++ === 0) throw new TypeError('lost');
      return answer;
    };
    Object.assign(window, { sentTimes: () => sent });
  });
  await page.goto(`${room.url}/stash?supply=demo-000010`);
  await page.getByRole('button', { name: 'Buy', exact: true }).click();
  await page.getByRole('button', { name: 'Note it: buy' }).click();
  // A second pad is more than its slot has room for, and the act says so.
  await expect(page.getByText(/: noted\. A2·03: Together they need 40 mm/)).toBeVisible();
  await expect
    .poll(() => page.evaluate(() => (window as unknown as { sentTimes: () => number }).sentTimes()))
    .toBe(2);
  await expect(page.getByText(/ · bought 1$/)).toHaveCount(1);
});
