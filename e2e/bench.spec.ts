import { expect, test } from './room';

test(
  'a project: its things are fetched in walking order, used, and put back where they stood',
  { tag: '@both' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/bench/kits`);
    await page.getByRole('textbox', { name: 'Its name' }).fill('Nine cards');
    await page.getByRole('button', { name: 'Begin', exact: true }).click();
    await page.getByRole('button', { name: 'Choose what is in it' }).click();
    const search = page.getByRole('searchbox');
    interface Thing {
      readonly id: string;
      readonly name: string;
      readonly holdings: readonly { spot: { unitId: string; cell: number | null } | null }[];
    }
    const read = async (id: string): Promise<Thing> =>
      ((await (await page.request.get(`${room.url}/api/supplies/${id}`)).json()) as { supply: Thing }).supply;
    // Two pads of the pad rack, and a marker from another place.
    const chosen = [await read('demo-000010'), await read('demo-000011'), await read('demo-000092')];
    for (const { holdings } of chosen) expect(holdings[0]?.spot).toBeTruthy();
    for (const { name } of chosen) {
      await search.fill(name);
      await page
        .getByRole('checkbox', { name: new RegExp(name) })
        .first()
        .click();
      await expect(
        page.getByRole('list', { name: 'In it' }).getByRole('link', { name, exact: true }),
      ).toBeVisible();
    }
    await page.getByRole('button', { name: 'Close', exact: true }).click();
    const pull = page.getByRole('region', { name: 'Pull list' });
    await expect(pull.getByText(/^3 things to fetch, near ones first/)).toBeVisible();
    await pull.getByRole('button', { name: 'All 3 are on the bench' }).click();
    await expect(pull.getByText(/^nothing left to fetch.* · 3 on the bench already/)).toBeVisible();

    await page.goto(`${room.url}/bench`);
    const out = page.getByRole('region', { name: 'Out now' });
    const [first] = chosen;
    await expect(out.getByText(/· since \d\d:\d\d$/).first()).toBeVisible();
    await out.getByRole('button', { name: `Used a bit of ${first?.name}` }).click();
    await out.getByRole('button', { name: `Put ${first?.name} back` }).click();
    await expect(out.getByRole('link', { name: first?.name ?? '', exact: true })).toHaveCount(0);
    await out.getByRole('button', { name: /^Put (all|2 things) back$/ }).click();
    for (const { id, holdings } of chosen) {
      const stood = holdings[0]?.spot;
      await expect
        .poll(async () => (await read(id)).holdings[0]?.spot)
        .toMatchObject({ unitId: stood?.unitId, cell: stood?.cell });
    }
  },
);
