import { expect, test } from './room';

test(
  'a pile with the keyboard alone: name, colour, next; left, and taken up again',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/stash/pile`);
    await page.getByRole('radio', { name: 'Marker', exact: true }).click();
    await page.getByRole('textbox', { name: 'Maker' }).fill('Osselwick');
    await page.getByRole('button', { name: 'Start the pile' }).click();
    await expect(page.getByText('0 entered')).toBeVisible();
    await page.getByRole('textbox', { name: 'Name' }).focus();
    for (const [name, hex] of [
      ['Pile Rust', '#a04020'],
      ['Pile Straw', 'dusty rose'],
    ] as const) {
      await page.keyboard.type(name);
      await page.keyboard.press('Enter');
      await page.keyboard.type(hex);
      if (hex === 'dusty rose') {
        // What people mean by plain words is known as they are typed, with nothing to be taken.
        await expect(page.getByText(/^pink, \d+% sure$/)).toBeVisible();
      }
      await page.keyboard.press('Enter');
      await expect(page.getByRole('button', { name: new RegExp(`${name} `) })).toBeVisible();
      await expect(page.getByRole('textbox', { name: 'Name' })).toBeFocused();
    }
    await page.getByRole('button', { name: 'Leave it for now' }).click();
    await page.getByRole('button', { name: /Osselwick: 2 entered/ }).click();
    await expect(page.getByText('2 entered')).toBeVisible();
    await expect(page.getByRole('button', { name: /Pile Straw/ })).toBeVisible();
  },
);

test(
  'a pasted list says line by line what is wrong, and adds the rest in one change',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/stash/pile`);
    await page.getByRole('button', { name: 'Start the pile' }).click();
    await page.getByRole('button', { name: 'Paste a list' }).click();
    await page
      .getByRole('textbox', { name: /One thing a line/ })
      .fill('Paste Moss, #3a5f36, 71\nPaste Nothing\nPaste Rose, dusty rose\n72; Paste Sky; skyblue\n');
    await expect(page.getByText(/Line 2 “Paste Nothing” has no colour/)).toBeVisible();
    await page.getByRole('button', { name: 'Add 3 supplies' }).click();
    await expect(page.getByText('3 entered')).toBeVisible();
    await page.goto(`${room.url}/stash?q=paste`);
    await expect(page.getByText('3 of 240 supplies')).toBeVisible();
  },
);

test('a range comes in as a checklist, and what is ticked is owned', async ({ page, room }) => {
  await page.goto(`${room.url}/stash/ranges`);
  const choose = async (name: string, text: string): Promise<void> => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose a range file' }).click();
    await (await chooser).setFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
  };
  await choose('list.csv', 'a,b\n1,2\n');
  await expect(page.getByText(/needs a column “name”/)).toBeVisible();
  await choose('range.gpl', 'GIMP Palette\nName: Hedgerow\n#\n 76 154 82 Range Fern\n160 64 32 Range Rust\n');
  await expect(page.getByRole('textbox', { name: 'Range' })).toHaveValue('Hedgerow');
  await page.getByRole('textbox', { name: 'Maker' }).fill('Osselwick');
  await page.getByRole('button', { name: 'Keep the checklist' }).click();
  await expect(page.getByText('0 of 2 owned, 0%')).toBeVisible();
  await page.getByRole('checkbox', { name: 'Range Fern' }).click();
  await page.getByRole('button', { name: 'Add 1 supply' }).click();
  await expect(page.getByText('1 of 2 owned, 50%')).toBeVisible();
});

test('a mixed pack is split into its colours, its price kept with them', async ({ page, room }) => {
  await page.goto(`${room.url}/stash/pack`);
  await page.getByRole('textbox', { name: 'Pack', exact: true }).fill('Autumn pack');
  await page.getByRole('textbox', { name: 'Price of the pack' }).fill('14.50');
  const lot = async (n: number, name: string, hex: string, amount: string): Promise<void> => {
    await page.getByRole('textbox', { name: `Name of lot ${n}` }).fill(name);
    await page.getByRole('textbox', { name: `Colour of lot ${n}` }).fill(hex);
    await page.getByRole('textbox', { name: `How many in lot ${n}` }).fill(amount);
  };
  await lot(1, 'Lot Rust', '#a04020', '8');
  await lot(2, 'Lot Straw', 'straw-ish', '8');
  await page.getByRole('button', { name: 'Add 2 lots' }).click();
  await expect(page.getByText(/Lot 2: “straw-ish” is not a colour/)).toBeVisible();
  // A half-filled pack survives leaving.
  await page.goto(`${room.url}/stash`);
  await page.goto(`${room.url}/stash/pack`);
  await page.getByRole('textbox', { name: 'Colour of lot 2' }).fill('#d0b060');
  await page.getByRole('button', { name: 'Add 2 lots' }).click();
  await page.getByRole('button', { name: /Pack “Autumn pack”: 2 things/ }).click();
  await expect(page.getByText('14.50 EUR')).toBeVisible();
});
