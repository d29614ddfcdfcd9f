import { expect, test } from './room';

test(
  'panels are planned from scraps and sheets, cut step by step, and what remains goes back with a size and a place',
  { tag: '@wide' },
  async ({ page, room }) => {
    const { supplies } = (await (await page.request.get(`${room.url}/api/supplies`)).json()) as {
      supplies: { id: string; name: string; holdings: { as: string; sizeUm?: object | null }[] }[];
    };
    const card = supplies.find(({ holdings }) => holdings.some(({ as, sizeUm }) => as === 'scrap' && sizeUm));
    await page.goto(`${room.url}/bench`);
    await page.getByRole('button', { name: 'Plan cuts' }).click();
    await expect(
      page.getByRole('button', { name: /^Caution: Punches and cutters have blades/ }),
    ).toBeVisible();
    await page.getByRole('searchbox').fill(card?.name ?? '');
    await page
      .getByRole('region', { name: 'Another card', exact: true })
      .getByRole('button', { name: new RegExp(card?.name ?? '') })
      .first()
      .click();
    const one = page.getByRole('region', { name: `Cut ${card?.name}` });
    // A size of one's own, that comes out of a scrap; then one that takes a sheet.
    await one.getByRole('textbox', { name: 'Another size' }).fill('nine');
    await one.getByRole('button', { name: 'Add this size' }).click();
    await expect(one.getByText(/Write two sides, such as/)).toBeVisible();
    await one.getByRole('textbox', { name: 'Another size' }).fill('100 x 50 mm');
    await one.getByRole('textbox', { name: 'Its name' }).fill('Ticket');
    await one.getByRole('button', { name: 'Add this size' }).click();
    await expect(one.getByText(/^2 cuts in 1 scrap\. No plan takes fewer\.$/)).toBeVisible();
    await one.getByRole('button', { name: /^Ready sizes/ }).click();
    await one.getByRole('radio', { name: 'Panel A6' }).click();
    await one.getByRole('button', { name: 'One more Panel A6' }).click();
    await expect(one.getByText(/in 1 scrap and 1 new sheet\. No plan takes fewer\.$/)).toBeVisible();
    const scrap = one.getByRole('group', { name: /^Scrap 1: / });
    await expect(scrap.getByRole('img', { name: /Ticket/ })).toBeVisible();
    await scrap.getByRole('button', { name: 'Next cut of scrap 1' }).click();
    await scrap.getByRole('button', { name: 'Next cut of scrap 1' }).click();
    await expect(scrap.getByRole('button', { name: 'Next cut of scrap 1' })).toBeDisabled();
    await scrap.getByRole('button', { name: /^It is cut: 1 panel/ }).click();
    // What is made is wanted no more, and the sheet comes first now.
    await expect(one.getByRole('group', { name: 'Ticket' })).toHaveCount(0);
    const sheet = one.getByRole('group', { name: /^Sheet 1: / });
    await sheet.getByRole('button', { name: /^It is cut: 2 panels, \d scraps?$/ }).click();
    await expect(one.getByText(/without a place: .* takes (it|them)\.$/).first()).toBeVisible();
    await one.getByRole('button', { name: 'Put away what has a pocket' }).click();
    await expect(one.getByText(/takes (it|them)\.$/)).toHaveCount(0);
    const lots = async () => {
      const found = (await (await page.request.get(`${room.url}/api/supplies/${card?.id}`)).json()) as {
        supply: {
          holdings: { as: string; items: number; sizeUm: { widthUm: number } | null; spot: object | null }[];
        };
      };
      return found.supply.holdings;
    };
    await expect
      .poll(
        async () =>
          (await lots()).filter(({ as, items, spot }) => as === 'scrap' && items > 0 && spot).length,
      )
      .toBeGreaterThan(1);
    const made = await lots();
    expect(
      made.some(({ as, sizeUm, items }) => as === 'base' && items === 1 && sizeUm?.widthUm === 100_000),
    ).toBe(true);
    // One's own size is kept, for any card.
    await expect(one.getByRole('radio', { name: 'Ticket' })).toBeVisible();
  },
);
