import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { graveFindings } from './grave';
import { expect, test } from './room';

/** What lives in a slot of the wall, by its address. */
const slot = (page: Page, address: string) =>
  page.getByRole('button', { name: new RegExp(`^Slot ${address}[,:]`) }).first();
const RACK = '/storage?unit=demo-000000';

test(
  'a rack gets a column more: everything keeps its row, and a name of one’s own stays with its place',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(room.url);
    const before = (await slot(page, 'A2·01').getAttribute('aria-label')) ?? '';
    const thing = before.replace('Slot A2·01', '');
    await page.goto(room.url + RACK);
    const columns = page.getByRole('textbox', { name: 'Columns', exact: true });
    await columns.fill(String(Number(await columns.inputValue()) + 1));
    await page.getByRole('textbox', { name: 'Place', exact: true }).fill('A2·03');
    await page.getByRole('textbox', { name: 'Its own name' }).fill('Reds');
    await page.getByRole('button', { name: 'Name it' }).click();
    await expect(page.getByText('A2·03 is A·Reds')).toBeVisible();
    await expect(page.getByText(/will have no place/)).toHaveCount(0);
    await page.getByRole('button', { name: 'Keep it so' }).click();
    await expect(page.getByText('Pad rack: the wall was changed.')).toBeVisible();
    await page.goto(room.url);
    await expect(slot(page, 'A2·01')).toHaveAttribute('aria-label', `Slot A2·01${thing}`);
    await expect(slot(page, 'A·Reds')).toBeVisible();
  },
);

test('a closed place has a picture with its day, which is shown with what is in it', async ({
  page,
  room,
}) => {
  await page.goto(room.url + RACK);
  const image = sharp({ create: { width: 600, height: 400, channels: 3, background: '#7a5a42' } });
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Add a photo' }).click();
  await (
    await chooser
  ).setFiles({
    name: 'door.jpg',
    mimeType: 'image/jpeg',
    buffer: await image.jpeg().toBuffer(),
  });
  await expect(page.getByRole('img', { name: /^Pad rack on \d+ \w+ \d{4}$/ })).toBeVisible();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText('Pad rack: the wall was changed.')).toBeVisible();
  await page.goto(room.url);
  await slot(page, 'A1·01').click();
  await expect(page.getByRole('img', { name: /^Pad rack on/ })).toBeVisible();
});

test('what a person does everywhere is said once, and minded again when that is taken back', async ({
  page,
  room,
}) => {
  await page.goto(`${room.url}/storage?unit=demo-paper-drawer`);
  await expect(page.getByText(/^In a pile paper stays flat/)).toBeVisible();
  await page.getByRole('button', { name: 'I keep them so everywhere' }).first().click();
  await expect(page.getByText(/You keep them so everywhere\.$/)).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Mind it again everywhere' }).click();
  await expect(page.getByRole('button', { name: 'I keep them so everywhere' }).first()).toBeVisible();
});

test('what stands behind something has a place of its own', async ({ page, room }) => {
  await page.goto(`${room.url}/rack?template=deep-bottle-grid`);
  await page.getByRole('button', { name: 'Put it up' }).click();
  await expect(page.getByText('Deep bottle grid: the wall was changed.')).toBeVisible();
  await page.goto(room.url);
  await expect(page.getByRole('button', { name: /^Slot P2·04·2[,:]/ })).toBeAttached();
});

test.describe('the room', () => {
  test.use({ wall: 'room' });
  for (const scheme of ['light', 'dark'] as const)
    test(
      `has no serious or critical accessibility finding, ${scheme}`,
      { tag: '@both' },
      async ({ page, room }) => {
        await page.emulateMedia({ colorScheme: scheme });
        await page.goto(room.url);
        await expect(page.getByRole('button', { name: 'Go to Drawer tower' })).toBeVisible();
        await page.getByRole('button', { name: /^How far things are/ }).click();
        expect(await graveFindings(page)).toEqual([]);
      },
    );
});

interface Unit {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly model: object;
  readonly rules: object;
  readonly facts: object;
}

test('what is used much and stands far changes places with what is idle at hand, and one undo takes it back', async ({
  page,
  room,
}) => {
  const { request } = page;
  const { units } = (await (await request.get(`${room.url}/api/wall`)).json()) as { units: Unit[] };
  const rack = units.find(({ id }) => id === 'demo-000000')!;
  const { version, name, model, rules, facts } = rack;
  // The pads stand far away, and one nobody ever used stands at hand.
  await request.put(`${room.url}/api/units/${rack.id}`, {
    data: { version, name, model, rules, facts: { ...facts, reach: 'far' } },
  });
  const near = { name: 'Near rack', model, rules, facts: { reach: 'near' } };
  const { unit } = (await (await request.post(`${room.url}/api/units`, { data: near })).json()) as {
    unit: Unit;
  };
  const idle = {
    kind: 'ink',
    form: 'full-pad',
    name: 'Idle Reed',
    hex: '#4c9a52',
    count: { items: 1, left: 60 },
  };
  const added = (await (await request.post(`${room.url}/api/supplies`, { data: idle })).json()) as {
    supply: { holdings: { id: string; version: number }[] };
  };
  const [lot] = added.supply.holdings;
  await request.put(`${room.url}/api/holdings/${lot!.id}/place`, {
    data: { version: lot!.version, place: { unitId: unit.id, cell: 0 } },
  });
  await page.goto(`${room.url}/storage`);
  const change = page.getByRole('button', { name: /^Change .* and Idle Reed$/ });
  const busy = ((await change.getAttribute('aria-label')) ?? '').replace(/^Change (.*) and .*$/, '$1');
  await change.click();
  await expect(page.getByText('2 things moved.')).toBeVisible();
  await expect(change).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: `Change ${busy} and Idle Reed` })).toBeVisible();
});

test(
  'where a box goes is judged as it is typed: into a drawer by its measures, on top of another by its height',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/rack?template=box`);
    await page.getByRole('button', { name: 'It stands in: another' }).click();
    await page.getByRole('radio', { name: 'M Paper drawer', exact: true }).click();
    const width = page.getByRole('textbox', { name: 'Width inside' });
    await width.fill('50 cm');
    await expect(page.getByText(/^It does not go into Paper drawer as measured: .*too wide/)).toBeVisible();
    await width.fill('200 mm');
    await page.getByRole('textbox', { name: 'Height inside' }).fill('30 mm');
    await page.getByRole('textbox', { name: 'Depth inside' }).fill('200 mm');
    await expect(page.getByText(/^It does not go into Paper drawer/)).toHaveCount(0);
    // The drawer of the tower is put on top of the bench instead: its height is what the bench is high.
    await page.goto(`${room.url}/storage?unit=demo-paper-drawer`);
    await page.getByRole('button', { name: 'Put it on top of: another' }).click();
    await page.getByRole('radio', { name: 'Work bench', exact: true }).click();
    await expect(page.getByText('It stands in: the room')).toBeVisible();
    await expect(page.getByRole('textbox', { name: 'From the floor' })).toHaveValue(/^74(\.0)? cm$|^740 mm$/);
  },
);

test('what is too much for a place is listed with it, and more of the same is counted while it can be bought', async ({
  page,
  room,
}) => {
  await page.goto(`${room.url}/storage?unit=demo-paper-drawer`);
  await page.getByRole('button', { name: 'It takes what is too much for: another' }).click();
  await page.getByRole('radio', { name: 'A Pad rack', exact: true }).click();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText('Paper drawer: the wall was changed.')).toBeVisible();
  await page.goto(room.url + RACK);
  const overflow = page.getByRole('button', { name: /^What is too much for it goes to M Paper drawer/ });
  await expect(overflow).toBeVisible();
  await page.getByRole('checkbox', { name: 'it is no longer sold' }).click();
  await expect(page.getByText(/It is no longer sold/)).toBeVisible();
  await overflow.click();
  await expect(page.getByRole('heading', { name: 'M Paper drawer' })).toBeVisible();
});

test(
  'sheets of a drawer as pages of a book: how many, and how thick once a page was measured',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/elsewhere?unit=demo-paper-drawer`);
    await expect(page.getByRole('heading', { name: 'As pages of a book' })).toBeVisible();
    const sheets = Number(
      /^(\d+) sheets, the largest/.exec(await page.getByText(/sheets, the largest/).innerText())?.[1],
    );
    await page.getByLabel('Pockets a page').fill('10');
    await expect(
      page.getByText(new RegExp(`^${Math.ceil(sheets / 10)} pages.*Measure an empty page`)),
    ).toBeVisible();
    await page.getByLabel('Pockets a page').fill('none');
    await expect(page.getByText('A page has 1 to 200 pockets, both sides counted.')).toBeVisible();
    await page.getByLabel('Pockets a page').fill('10');
    await page.getByLabel('Page thickness').fill('1 mm');
    await expect(page.getByText(/at the spine .*covers and rings not counted\.$/)).toBeVisible();
  },
);

test('where anything will do, pointing at a taken slot finds the nearest open one', async ({
  page,
  room,
}) => {
  await page.goto(room.url + RACK);
  await page.getByRole('radio', { name: 'anywhere in here' }).click();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText('Pad rack: the wall was changed.')).toBeVisible();
  await page.goto(room.url);
  await slot(page, 'A1·01').click();
  const panel = page.getByRole('complementary', { name: 'What lives here' });
  const name = (await panel.getByRole('button', { name: /^Carry / }).getAttribute('aria-label')) ?? '';
  await panel.getByRole('button', { name: /^Carry / }).click();
  const taken = slot(page, 'A2·03');
  await expect(taken).not.toHaveAccessibleName(/open/);
  await taken.click();
  const hand = page.getByRole('complementary', { name: 'In hand' });
  await expect(hand).toContainText('A2·03 itself does not take it, but anywhere in here will do.');
  const at = /(A\d+·\d+) takes it/.exec(await hand.innerText())?.[1] ?? '';
  await hand.getByRole('button', { name: 'Set it down here' }).click();
  await expect(slot(page, at)).toHaveAccessibleName(new RegExp(name.replace('Carry ', '')));
});
