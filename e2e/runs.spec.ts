import type { SupplyView, WallView } from '../packages/contract/src';
import { expect, test, type Room } from './room';

const stashOf = async (room: Room) =>
  (await (await fetch(`${room.url}/api/supplies`)).json()) as { supplies: { id: string; form: string }[] };

/** Sets the first lot of a supply down, or lifts it out. */
async function put(room: Room, id: string, place: { unitId: string; cell: null } | null): Promise<Response> {
  const { supply } = (await (await fetch(`${room.url}/api/supplies/${id}`)).json()) as { supply: SupplyView };
  const [lot] = supply.holdings;
  return fetch(`${room.url}/api/holdings/${lot?.id}/place`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ version: lot?.version, place }),
  });
}

test('a rod is built by typing, takes spools by their exact width, and says what is free', async ({
  page,
  room,
}) => {
  await page.goto(`${room.url}/rack`);
  await page.getByRole('button', { name: 'Start from another' }).click();
  await page.getByRole('radio', { name: 'Spool rod' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Window rod');
  await page.getByRole('textbox', { name: 'Rod, across' }).fill('0 mm');
  await page.getByRole('button', { name: 'Put it up' }).click();
  await expect(page.getByText('Say how thick the rod is; only a rod is asked.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Rod, across' }).fill('1/4 in');
  await page.getByRole('textbox', { name: 'Length inside' }).fill('4 cm');
  await expect(
    page.getByText(/^(4 cm|40 mm) × .* inside: (4 cm|40 mm) of length for things\.$/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Put it up' }).click();
  await expect(page.getByRole('heading', { name: 'Window rod' })).toBeVisible();
  // Two spools come off their pegs.
  const { supplies } = await stashOf(room);
  for (const { id } of supplies.filter(({ form }) => form === 'spool').slice(0, 2)) await put(room, id, null);
  await page.reload();
  await page.getByRole('button', { name: /Window rod, put something in/ }).click();
  const offered = page.getByRole('button', { name: /^Set .* down here$/ });
  await expect(offered.nth(1)).toBeVisible();
  await offered.first().click();
  await expect(page.getByText(/^1 thing · [\d.]+ (mm|cm) free$/)).toBeVisible();
  // What is left of the rod is too short for another.
  await page.getByRole('button', { name: 'The next slot' }).click();
  await expect(
    page.getByText('This rod is open, and everything that fits it now has a place already.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByText(/^0 things · (4 cm|40 mm) free$/)).toBeVisible();
});

test(
  'sheets lie on one another as high as a tray is, and what is too much is refused with the measure',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/rack`);
    await page.getByRole('button', { name: 'Start from another' }).click();
    await page.getByRole('radio', { name: 'Flat sheet tray' }).click();
    await page.getByRole('textbox', { name: 'Height inside' }).fill('10 mm');
    await page.getByRole('textbox', { name: 'Keep free above' }).fill('10 mm');
    await page.getByRole('button', { name: 'Put it up' }).click();
    await expect(page.getByText('The finger room must leave some of the height.')).toBeVisible();
    await page.getByRole('textbox', { name: 'Keep free above' }).fill('5 mm');
    await page.getByRole('button', { name: 'Put it up' }).click();
    await expect(page.getByRole('heading', { name: 'Flat sheet tray' })).toBeVisible();
    const { units } = (await (await fetch(`${room.url}/api/wall`)).json()) as WallView;
    const tray = units.find(({ name }) => name === 'Flat sheet tray');
    const { supplies } = await stashOf(room);
    let refused = '';
    for (const { id } of supplies.filter(({ form }) => form === 'sheet-12')) {
      const answer = await put(room, id, { unitId: tray?.id ?? '', cell: null });
      if (!answer.ok) refused = ((await answer.json()) as { title: string }).title;
      if (refused) break;
    }
    expect(refused).toMatch(/^It does not fit any more: it needs [\d.]+ mm, and [\d.]+ mm are left\.$/);
    await page.reload();
    await expect(page.getByText(/^\d+ things? · \d mm free$/)).toBeVisible();
  },
);

test(
  'where else the contents of a rack would go is compared, with what is left over and what to look for',
  { tag: '@wide' },
  async ({ page, room }) => {
    // The size of the window makes no difference to it.
    await page.goto(`${room.url}/storage`);
    await page.getByRole('link', { name: 'D Ribbon pegs' }).click();
    await page.getByRole('button', { name: 'Where else would it all fit?' }).click();
    await expect(page.getByRole('heading', { name: 'Where else would D Ribbon pegs go?' })).toBeVisible();
    await expect(
      page.getByRole('button', { name: /^Ribbon pegs: takes all \d+ · all are seen/ }),
    ).toBeVisible();
    // Others stand behind it, each with what it has against it.
    await expect(page.getByRole('button', { name: /: takes (all \d+|\d+ of \d+) · / }).nth(2)).toBeVisible();
    await expect(page.getByText(/^Beside Ribbon pegs it \w+/).first()).toBeVisible();
    await expect(page.getByText(/^A rack or case of \d+ cells$/)).toBeVisible();
    await expect(
      page.getByText('Each takes all of it. Measure the inside, not the label on it.'),
    ).toBeVisible();
    await page.getByRole('link', { name: 'Back to Wall' }).click();
    await expect(page.getByRole('heading', { name: 'Boathouse wall' })).toBeVisible();
  },
);

test('a sunny place is warned of where it is, and left so with a reason', async ({ page, room }) => {
  await page.goto(`${room.url}/storage`);
  await page.getByRole('link', { name: 'D Ribbon pegs' }).click();
  await page.getByRole('checkbox', { name: 'sun falls on it' }).click();
  await expect(page.getByText('Sun fades it. Put it in the shade, or cover it.')).toBeVisible();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await page.goto(room.url);
  await page.getByRole('button', { name: /^Slot D1·01/ }).click();
  await expect(page.getByText('Sun fades it. Put it in the shade, or cover it.')).toBeVisible();
  await page.goto(`${room.url}/storage`);
  await page.getByRole('link', { name: 'D Ribbon pegs' }).click();
  await page.getByRole('button', { name: 'Leave it so' }).click();
  await page.getByRole('textbox', { name: 'Because' }).fill('the blind is down');
  await page.getByRole('button', { name: 'That is why' }).click();
  await expect(page.getByText(/Left so: “the blind is down”\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByRole('heading', { name: 'Storage', exact: true })).toBeVisible();
  await page.goto(room.url);
  await page.getByRole('button', { name: /^Slot D1·01/ }).click();
  await expect(page.getByRole('button', { name: 'Lift out' })).toBeVisible();
  await expect(page.getByText(/Sun fades it/)).toBeHidden();
});
