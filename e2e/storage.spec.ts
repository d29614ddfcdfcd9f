import { readFileSync } from 'node:fs';
import { PDFDocument } from 'pdf-lib';
import { expect, test } from './room';

test(
  'a rack’s labels are printed to size, are known to be true, and grow old when a thing moves',
  { tag: '@wide' },
  async ({ page, room }) => {
    // The size of the window makes no difference to it.
    await page.goto(`${room.url}/storage`);
    await page.getByRole('link', { name: 'E Sticker album' }).click();
    await expect(page.getByText('Never printed.')).toBeVisible();
    await page.getByRole('textbox', { name: 'Size of one' }).fill('wide');
    await page.getByRole('button', { name: 'Print 25 labels' }).click();
    await expect(page.getByText('A label has two sides: 50 × 12 mm, the width first.')).toBeVisible();
    await page.getByRole('textbox', { name: 'Size of one' }).fill('90 × 60 mm');
    const saving = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Print 25 labels' }).click();
    const file = await (await saving).path();
    const pdf = await PDFDocument.load(readFileSync(file));
    // Two beside and four above one another on A4: 25 labels are four pages.
    expect(pdf.getPageCount()).toBe(4);
    expect(Math.round((pdf.getPage(0).getWidth() / 72) * 25.4)).toBe(210);
    await expect(page.getByText(/^Printed on .*, and still true\.$/)).toBeVisible();
    await page.goto(room.url);
    await page.getByRole('button', { name: /^Slot E1·01/ }).click();
    await page.getByRole('button', { name: 'Lift out' }).click();
    await page.goto(`${room.url}/storage`);
    await expect(
      page.getByRole('link', { name: 'E Sticker album' }).getByText('labels out of date'),
    ).toBeVisible();
    // Only the one that says something else is printed again.
    await page.getByRole('link', { name: 'E Sticker album' }).click();
    const again = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Print the 1 label that changed' }).click();
    const one = await PDFDocument.load(readFileSync(await (await again).path()));
    expect(one.getPageCount()).toBe(1);
    await expect(page.getByText(/^Printed on .*, and still true\.$/)).toBeVisible();
  },
);

test('a spare rack comes back to the wall, a worn one is put away, and undo brings it back', async ({
  page,
  room,
}) => {
  await page.goto(`${room.url}/storage`);
  await page.getByRole('link', { name: 'F Narrow pad rack' }).click();
  await page.getByRole('radio', { name: 'active' }).click();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText('15 on the wall · 0 put away')).toBeVisible();
  await page.getByRole('link', { name: 'D Ribbon pegs' }).click();
  await page.getByRole('radio', { name: 'retired' }).click();
  await expect(page.getByText(/^\d+ things will have no place/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText('14 on the wall · 1 put away')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('15 on the wall · 0 put away')).toBeVisible();
});

test(
  'what storage wants is offered when something is about to leave',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/storage`);
    await page.getByRole('textbox', { name: 'For', exact: true }).fill('card file C');
    await page.getByRole('textbox', { name: 'At least' }).fill('20 × 30 cm');
    await page.getByRole('textbox', { name: 'How many' }).fill('4');
    await page.getByRole('button', { name: 'Want it' }).click();
    await expect(page.getByText('4 dividers of 20 cm × 30 cm for card file C')).toBeVisible();
    await page.goto(`${room.url}/gaps/sort-out`);
    await page.getByRole('button', { name: /^Cardstock: \d+/ }).click();
    await expect(page.getByText('Before it leaves: it could serve.')).toBeVisible();
    const save = page.getByRole('button', { name: /^Save 4 of .*card file C/ });
    await save.click();
    await expect(save).toBeHidden();
  },
);

test(
  'an order is put together by dragging, tried, kept, and followed by Arrange',
  { tag: '@both' },
  async ({ page, room }, { project }) => {
    await page.goto(`${room.url}/arrange/order`);
    await page.getByRole('button', { name: 'Then by maker' }).click();
    const maker = page.getByRole('button', { name: 'Move maker' });
    if (project.name === 'wide') {
      const [from, to] = [
        await maker.boundingBox(),
        await page.getByRole('button', { name: 'Move family' }).boundingBox(),
      ];
      if (!from || !to) throw new Error('no handle');
      await page.mouse.move(from.x + 10, from.y + 20);
      await page.mouse.down();
      await page.mouse.move(from.x + 10, from.y - 30, { steps: 5 });
      await page.mouse.move(to.x + 10, to.y + 10, { steps: 10 });
      await page.mouse.up();
    } else {
      // By the keyboard: take hold, three up, set down.
      await maker.focus();
      await page.keyboard.press('Space');
      for (let i = 0; i < 3; i++) {
        await page.waitForTimeout(150);
        await page.keyboard.press('ArrowUp');
      }
      await page.waitForTimeout(150);
      await page.keyboard.press('Space');
    }
    await expect(page.getByText(/^Hollin & Quay · .*Plimmet Lane/)).toBeVisible();
    await page.getByRole('button', { name: 'Keep this order' }).click();
    await expect(page.getByRole('button', { name: 'Back to the rainbow' })).toBeVisible();
    await page.goto(`${room.url}/arrange`);
    await expect(page.getByText('maker breaks')).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Planned' })).toBeVisible();
  },
);

test('drawers are shared out evenly, and a palette keeps a rack to itself', async ({ page, room }) => {
  // The size of the window makes no difference to it.
  await page.goto(`${room.url}/arrange/order`);
  const drawers = page.getByRole('region', { name: 'Drawers' });
  await expect(drawers.getByRole('listitem')).toHaveCount(6);
  await drawers.getByRole('textbox').fill('3');
  await expect(drawers.getByRole('listitem')).toHaveCount(3);
  await drawers.getByRole('textbox').fill('0');
  await expect(drawers.getByText('A whole number from 1 to 200.')).toBeVisible();
  await page.goto(`${room.url}/bench/kits`);
  await page.getByRole('radio', { name: 'palette' }).click();
  await page.getByRole('textbox', { name: 'Its name' }).fill('River wedding');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await page.getByRole('radio', { name: 'E Sticker album' }).click();
  await expect(page.getByText(/Arrange keeps E Sticker album for this palette/)).toBeVisible();
});

test('a job asks what was made for one like it', async ({ page, room }) => {
  // The size of the window makes no difference to it.
  await page.goto(`${room.url}/bench/kits`);
  await page.getByRole('textbox', { name: 'Its name' }).fill('Birthday for Ada');
  await expect(page.getByText('Made already, and still here:')).toBeVisible();
  await page.getByRole('button', { name: 'Look at River birthday fronts' }).click();
  await expect(page.getByRole('heading', { name: 'River birthday fronts' })).toBeVisible();
});

test(
  'drawers of purposes are kept: put in order, found by a second meaning, each thing says its drawer',
  { tag: '@wide' },
  async ({ page, room }) => {
    // The size of the window makes no difference to it.
    await page.goto(`${room.url}/arrange/order`);
    await page.getByRole('radio', { name: 'Stickers' }).click();
    for (const key of ['family', 'lightness', 'finish'])
      await page.getByRole('button', { name: `Do not sort by ${key}` }).click();
    await page.getByRole('button', { name: 'Then by purpose', exact: true }).click();
    await page.getByRole('button', { name: 'Keep this order' }).click();
    await expect(page.getByRole('button', { name: 'Back to the rainbow' })).toBeVisible();
    await page.getByLabel('Move letters').click();
    await page.getByRole('button', { name: 'letters earlier' }).click();
    await page.getByRole('textbox', { name: 'letters also means' }).fill('Sundays');
    await page.getByRole('button', { name: 'Keep these purposes' }).click();
    await expect(page.getByText(/^birthdays · garden · letters · harvest/)).toBeVisible();
    await page.getByRole('radio', { name: 'whole groups, paired' }).click();
    await page.getByLabel('Drawers, trays or boxes').fill('3');
    await page.getByRole('button', { name: 'Keep these drawers' }).click();
    const drawers = page.getByRole('region', { name: 'Drawers' });
    await expect(drawers.getByText(/^Drawers of stickers/)).toBeVisible();
    await expect(drawers.getByText(/have their slots in E Sticker album/).first()).toBeVisible();
    await drawers.getByRole('button', { name: 'What is in drawer 1 lies there now' }).click();
    await expect(drawers.getByRole('button', { name: 'What is in drawer 1 lies there now' })).toBeHidden();
    await page.goto(`${room.url}/stash?q=drawer%201`);
    await expect(page.getByText(/^\d of 237 supplies/)).toBeVisible();
    await page.goto(`${room.url}/stash?q=sundays%20sticker`);
    await expect(page.getByText(/^8 of 237 supplies/)).toBeVisible();
  },
);

test('a thing without a slot is offered the open one among its likes', async ({ page, room }) => {
  await page.goto(`${room.url}/stash?q=unplaced&kind=ink`);
  await page
    .getByRole('button', { name: /^Or .*no place|Rust Mill.*no place/ })
    .first()
    .click();
  const offers = page.getByRole('group', { name: 'Where it could live' });
  await expect(offers.getByText(/^A Pad rack · made for this: full pad/)).toBeVisible();
  const set = offers.getByRole('button', { name: /^Set it down in / }).first();
  const address = ((await set.getAttribute('aria-label')) ?? '')
    .replace('Set it down in ', '')
    .replace(/,.*/, '');
  await set.click();
  await expect(offers).toBeHidden();
  await expect(page.getByText(address, { exact: true }).first()).toBeVisible();
});
