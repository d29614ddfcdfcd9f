import { ready } from './ready';
import { expect, test } from './room';

test('each gap is told with its reason, and acted on, put off or never asked again', async ({
  page,
  room,
}) => {
  await page.goto(`${room.url}/gaps`);
  const tile = (label: string) => page.getByRole('radio', { name: new RegExp(`^\\d+ ${label}$`) });
  const countOf = async (label: string) =>
    Number(/^\d+/.exec((await tile(label).getAttribute('aria-label')) ?? '')?.[0]);
  await expect(tile('running out')).toBeChecked();
  const out = await countOf('running out');
  expect(out).toBeGreaterThan(3);
  // What is accepted goes to the list; what is never asked again is gone, and can be asked again.
  await page
    .getByRole('button', { name: /^To the shopping list: / })
    .first()
    .click();
  await expect(page.getByRole('button', { name: 'Shopping list (1)' })).toBeVisible();
  await page
    .getByRole('button', { name: /^Never ask again: / })
    .nth(1)
    .click();
  await expect(tile('running out')).toHaveAttribute('aria-label', `${out - 1} running out`);
  await page.reload();
  await expect(tile('running out')).toHaveAttribute('aria-label', `${out - 1} running out`);
  await page.getByRole('button', { name: /^Put off: 1 question/ }).click();
  await page.getByRole('button', { name: /^Ask again: / }).click();
  await expect(tile('running out')).toHaveAttribute('aria-label', `${out} running out`);

  await tile('missing colours').click();
  await expect(page.getByText(/\d+ of \d+ owned · \d+ missing: /)).toBeVisible();
  await expect(page.getByText(/a hole in your \w+: the nearest is/).first()).toBeVisible();
  await page
    .getByRole('button', { name: /^To the shopping list: / })
    .first()
    .click();
  await tile('missing partners').click();
  await expect(page.getByText(/^lacks /).first()).toBeVisible();
  await page
    .getByRole('button', { name: /^To the shopping list: / })
    .first()
    .click();
  await expect(page.getByRole('button', { name: 'Shopping list (3)' })).toBeVisible();

  await tile('not used').click();
  // Used, it is forgotten no more; another one may take its turn.
  const use = page.getByRole('button', { name: /^Use one: / }).first();
  const forgotten = (await use.getAttribute('aria-label')) ?? '';
  await use.click();
  await expect(page.getByRole('button', { name: forgotten, exact: true })).toHaveCount(0);
  await tile('doubles').click();
  const doubles = await countOf('doubles');
  await page
    .getByRole('button', { name: /^The spares of .* are meant$/ })
    .first()
    .click();
  await expect.poll(() => countOf('doubles')).toBe(doubles - 1);
  await tile('room').click();
  await page
    .getByRole('button', { name: /^Find a place for / })
    .first()
    .click();
  await expect(page).toHaveURL(/\/arrange\?kind=/);
});

test.describe('with the network cut', () => {
  test.use({ serviceWorkers: 'allow', cut: true });
  test('the shopping list works in the shop without a signal, and what was bought is told later', async ({
    page,
    room,
    context,
  }) => {
    await page.goto(`${room.url}/gaps`);
    const first = page.getByRole('button', { name: /^To the shopping list: / }).first();
    const name = ((await first.getAttribute('aria-label')) ?? '').replace('To the shopping list: ', '');
    await first.click();
    await page.getByRole('button', { name: 'Shopping list (1)' }).click();
    await expect(page.getByRole('button', { name: `Bought: ${name}` })).toBeVisible();
    // The app and the list are kept on the device.
    await ready(page, room);
    await context.setOffline(true);
    await page.reload();
    await expect(page.getByRole('button', { name: `Bought: ${name}` })).toBeVisible();
    await page.getByRole('button', { name: `More of ${name}` }).click();
    await page.getByRole('button', { name: `Bought: ${name}` }).click();
    await expect(page.getByText('Nothing to buy.', { exact: false })).toBeVisible();
    await context.setOffline(false);
    const bought = async () => {
      const { supplies } = (await (await page.request.get(`${room.url}/api/supplies`)).json()) as {
        supplies: { name: string; stock: { state: string } }[];
      };
      return supplies.some((each) => each.name === name && each.stock.state !== 'out');
    };
    await expect.poll(bought, { timeout: 30_000 }).toBe(true);
    const wishes = async () => {
      const { records } = (await (await page.request.get(`${room.url}/api/records`)).json()) as {
        records: { body: { sort: string } }[];
      };
      return records.filter(({ body }) => body.sort === 'wish').length;
    };
    await expect.poll(wishes).toBe(0);
  });
});

test(
  'the stash in pictures: each chart with its table and its file, and use on the wall',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/gaps`);
    await page.getByRole('button', { name: 'In pictures' }).click();
    const months = page.getByRole('region', { name: 'Inks, month by month' });
    await expect(months.getByText(/^In twelve months .* used; most in /)).toBeVisible();
    await page.getByRole('radio', { name: 'Cardstock' }).click();
    const families = page.getByRole('region', { name: 'Cardstock by family' });
    await families.getByRole('button', { name: 'Cardstock by family: as a table' }).click();
    await expect(families.getByRole('row')).not.toHaveCount(1);
    const saving = page.waitForEvent('download');
    await families.getByRole('button', { name: 'Cardstock by family: save as CSV' }).click();
    expect((await saving).suggestedFilename()).toBe('cardstock-by-family.csv');
    await page.getByRole('button', { name: 'How much each thing is used, on the wall' }).click();
    await expect(page.getByText(/^Pale: hardly used\./)).toBeVisible();
    await page.getByRole('checkbox', { name: 'by use' }).click();
    await expect(page.getByText(/^Pale: hardly used\./)).toHaveCount(0);
  },
);
