import type { Page } from '@playwright/test';
import { expect, test } from './room';

interface Thing {
  readonly id: string;
  readonly kind: string;
  readonly form: string;
  readonly name: string;
  readonly hex: string;
  readonly stock: { readonly left: number; readonly used?: number };
  readonly holdings: readonly { readonly as: string; readonly items: number }[];
}
const read = async (page: Page, url: string, id: string): Promise<Thing> =>
  ((await (await page.request.get(`${url}/api/supplies/${id}`)).json()) as { supply: Thing }).supply;
const all = async (page: Page, url: string): Promise<Thing[]> =>
  ((await (await page.request.get(`${url}/api/supplies`)).json()) as { supplies: Thing[] }).supplies;

test('a marker is refilled by weight: tared, weighed, filled up to what it holds, and the bottle goes down by as much', async ({
  page,
  room,
}) => {
  // The size of the window makes no difference to it.
  const marker = (await all(page, room.url)).find(
    ({ kind, form }) => kind === 'marker' && form === 'alcohol-dual',
  )!;
  const bottle = { kind: 'ink', form: 'refill', name: marker.name, hex: marker.hex };
  const answer = await page.request.post(`${room.url}/api/supplies`, {
    data: { ...bottle, count: { items: 1, left: 12 } },
  });
  const { supply: added } = (await answer.json()) as { supply: Thing };
  await page.goto(`${room.url}/stash?supply=${marker.id}`);
  await page.getByRole('button', { name: 'Refill', exact: true }).click();
  await page.getByRole('button', { name: 'Weigh it' }).click();
  const scale = page.getByRole('region', { name: 'Scale' });
  await expect(scale.getByText(/it does not show nothing: tare it/)).toBeVisible();
  await scale.getByRole('button', { name: 'Tare' }).click();
  await expect(scale.getByText(`Now put ${marker.name} on it.`)).toBeVisible();
  await scale.getByRole('radio', { name: marker.name }).click();
  await expect(
    scale.getByText(/^It is about \d+% full: about .* ml go in before it overfills/),
  ).toBeVisible();
  await scale.getByRole('button', { name: 'That is before' }).click();
  for (const _ of [1, 2]) await scale.getByRole('button', { name: 'Put 0.2 ml in' }).click();
  await expect(scale.getByText('It has settled.')).toBeVisible();
  await scale.getByRole('button', { name: 'That is after' }).click();
  const { left } = (await read(page, room.url, marker.id)).stock;
  await page.getByRole('button', { name: 'Note it: refilled' }).click();
  await expect.poll(async () => (await read(page, room.url, marker.id)).stock.left).toBeGreaterThan(left);
  await expect.poll(async () => (await read(page, room.url, added.id)).stock.left).toBeLessThan(12);
  await expect(page.getByText(/refilled from its bottle, from \d+\.\d+ g to \d+\.\d+ g/)).toBeVisible();
});

test('a project from its palette to what is put away: colours from a file, a need, cutting with scraps', async ({
  page,
  room,
}) => {
  await page.goto(`${room.url}/bench/kits`);
  await page.getByRole('textbox', { name: 'Its name' }).fill('Twelve cards');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await page.getByRole('textbox', { name: 'How many are made' }).fill('12');
  await page.getByRole('button', { name: 'Make so many' }).click();
  // Many sheets of it, in one colour of its own.
  const sheet = await read(page, room.url, 'demo-000148');
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(sheet.hex.slice(at, at + 2), 16));
  const lines = `GIMP Palette\nName: Meadow\n#\n${r} ${g} ${b}\tMeadow green\n200 30 40\tPoppy\n`;
  const palette = page.getByRole('region', { name: 'Palette' });
  const choosing = page.waitForEvent('filechooser');
  await palette.getByRole('button', { name: 'A .gpl file' }).click();
  await (await choosing).setFiles({ name: 'meadow.gpl', mimeType: 'text/plain', buffer: Buffer.from(lines) });
  await palette.getByRole('radio', { name: 'Meadow green' }).click();
  await expect(palette.getByText('cardstock: you could not tell them apart')).toBeVisible();
  // A quarter of a sheet each.
  const needs = page.getByRole('region', { name: 'Needs' });
  await needs.getByRole('button', { name: 'Add a need' }).click();
  await needs.getByRole('radio', { name: 'Cardstock' }).click();
  await needs.getByRole('radio', { name: 'Meadow green' }).click();
  await needs.getByRole('textbox', { name: 'How much each' }).fill('1/4');
  await needs.getByRole('button', { name: 'Need so much' }).click();
  await needs
    .getByRole('button', { name: `Take ${sheet.name}`, exact: true })
    .first()
    .click();
  await expect(needs.getByText(/^taken for it: 3 sheets kept, 3 sheets needed in all$/)).toBeVisible();
  const list = page.getByRole('region', { name: 'Pull list' });
  await list.getByRole('button', { name: `Take ${sheet.name} to the bench` }).click();
  await expect(list.getByText(/· 1 on the bench already/)).toBeVisible();
  // It is cut into bases and scraps for the project, and what is left goes back.
  const before = await read(page, room.url, sheet.id);
  await page.goto(`${room.url}/bench`);
  const out = page.getByRole('region', { name: 'Out now' });
  await out.getByRole('button', { name: `Say what was used of ${sheet.name}` }).click();
  const used = out.getByRole('form', { name: `What was used of ${sheet.name}` });
  await used.getByRole('textbox', { name: `A piece of ${sheet.name} that stays` }).fill('11 × 6 cm');
  await expect(used.getByText('Worth keeping as a scrap.')).toBeVisible();
  await used.getByRole('button', { name: `Note what was used of ${sheet.name}` }).click();
  await expect
    .poll(async () => (await read(page, room.url, sheet.id)).stock.left)
    .toBeLessThan(before.stock.left);
  await expect(out.getByText(/^1 scrap of 110 × 60 mm without a place: /)).toBeVisible();
  await out.getByRole('button', { name: `Put ${sheet.name} back` }).click();
  await expect(out.getByRole('link', { name: sheet.name, exact: true })).toHaveCount(0);
});

test.describe('with the network cut for one', () => {
  test.use({ cut: true });
  test(
    'two devices log at once, one of them out of reach for a while: nothing is lost',
    { tag: '@wide' },
    async ({ page, room, browser }) => {
      // The size of the window makes no difference to it.
      const other = await browser.newContext();
      room.watch(other);
      const second = await other.newPage();
      const url = `${room.url}/stash?supply=demo-000010`;
      await Promise.all([page.goto(url), second.goto(url)]);
      const before = (await read(page, room.url, 'demo-000010')).stock.left;
      const use = (on: Page) => on.getByRole('button', { name: 'Use one' });
      await Promise.all([use(page).waitFor(), use(second).waitFor()]);
      for (let tap = 0; tap < 3; tap++) await Promise.all([use(page).click(), use(second).click()]);
      await other.setOffline(true);
      for (let tap = 0; tap < 2; tap++) await Promise.all([use(page).click(), use(second).click()]);
      await other.setOffline(false);
      await expect
        .poll(async () => (await read(page, room.url, 'demo-000010')).stock.left, { timeout: 15_000 })
        .toBe(before - 10);
      await other.close();
    },
  );
});
