import type { Page } from '@playwright/test';
import { dragByFinger } from './finger';
import { expect, test } from './room';

const slot = (page: Page, address: string) =>
  page.getByRole('button', { name: new RegExp(`^(Slot )?${address}\\b`) }).first();
/** Where a thing lives says its panel. */
async function livesAt(page: Page, address: string): Promise<string> {
  await slot(page, address).click();
  const panel = page.getByRole('complementary', { name: 'What lives here' });
  const name = (await panel.getByRole('button', { name: /^Carry / }).getAttribute('aria-label')) ?? '';
  await panel.getByRole('button', { name: 'Close', exact: true }).click();
  return name.replace('Carry ', '');
}

test.describe('the room in elevation', () => {
  test.use({ wall: 'room' });

  test(
    'from the whole room to one drawer and back, and the way to a hidden thing',
    { tag: '@both' },
    async ({ page, room }) => {
      await page.goto(room.url);
      await expect(page.getByRole('button', { name: 'Go to Drawer tower' })).toBeVisible();
      await page.getByRole('button', { name: /^Go to A Pad rack/ }).press('Enter');
      await expect(slot(page, 'A1·01')).toBeVisible();
      await page.getByRole('button', { name: 'The whole room' }).click();
      await expect(page.getByRole('button', { name: /^Go to A Pad rack/ })).toBeVisible();
      await page.keyboard.press('+');
      await page.keyboard.press('0');
      await page.getByRole('searchbox').fill('Shell Board');
      const found = page.getByRole('button', { name: /^M Shell Board/ });
      await expect(found).toHaveAccessibleName(/Drawer tower, Paper drawer, pull it out, lift Upper tray/);
      await found.click();
      await expect(page.getByRole('complementary', { name: 'What lives here' })).toContainText('Shell Board');
      await expect(
        page.getByText(/^The way: Drawer tower, Paper drawer, pull it out, lift Upper tray\./),
      ).toBeVisible();
    },
  );

  test(
    'furniture is put in the room by typing, a rack into it, and both are taken back',
    { tag: '@wide' },
    async ({ page, room }) => {
      await page.goto(`${room.url}/storage`);
      await page.getByRole('button', { name: 'Furniture' }).click();
      await page.getByRole('radio', { name: 'Cart', exact: true }).click();
      await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Rolling cart');
      await page.getByRole('textbox', { name: 'Outside width' }).fill('sixteen');
      await expect(page.getByText(/“sixteen” cannot be read/)).toBeVisible();
      await page.getByRole('textbox', { name: 'Outside width' }).fill('16 1/2 in');
      await page.getByRole('textbox', { name: 'From the left' }).fill('4.2 m');
      await page.getByRole('button', { name: 'Put it in the room' }).click();
      await expect(page.getByText('Rolling cart: the wall was changed.')).toBeVisible();
      await page.getByRole('button', { name: /^Rolling cart: 0 things stand in it/ }).waitFor();
      await page.goto(`${room.url}/rack?template=box`);
      await page.getByRole('button', { name: 'It stands in: another' }).click();
      await page.getByRole('radio', { name: 'Rolling cart', exact: true }).click();
      await page.getByRole('textbox', { name: 'From the bottom' }).fill('300 mm');
      await page.getByRole('button', { name: 'Put it up' }).click();
      await expect(page.getByRole('button', { name: /^Go to P Box/ })).toBeVisible();
      await page.getByRole('button', { name: 'Undo' }).first().click();
      await expect(page.getByRole('button', { name: /^Go to P Box/ })).toBeHidden();
      await page.goto(`${room.url}/storage`);
      await page.getByRole('button', { name: /^Drawer tower: 2 things stand in it/ }).click();
      await page.getByRole('button', { name: 'Take it away' }).click();
      // What stood in it is in the room still.
      await page.goto(room.url);
      await expect(page.getByRole('button', { name: 'Go to Drawer tower' })).toBeHidden();
      await expect(page.getByRole('button', { name: /^Go to G Odds drawer/ })).toBeVisible();
    },
  );
});

test('tap and tap: what a place says is said before anything is set down, and what is refused says who would take it', async ({
  page,
  room,
}) => {
  await page.goto(room.url);
  await slot(page, 'A1·01').click();
  await page.getByRole('button', { name: 'Carry Ember Latch' }).click();
  const hand = page.getByRole('complementary', { name: 'In hand' });
  await expect(hand).toContainText('In hand: Ember Latch.');
  await slot(page, 'B1·01').click();
  await expect(hand).toContainText('B1·01 is not made for Ember Latch.');
  await expect(hand.getByRole('button', { name: 'Set it down here' })).toBeHidden();
  await slot(page, 'A1·02').click();
  await expect(hand).toContainText('something else lives there');
  await slot(page, 'A3·01').click();
  await expect(hand).toContainText(/^(.*)A3·01 takes it: 4 mm left across, 2 mm above\./);
  // Nothing has moved yet; pointing at the same place again sets it down.
  await slot(page, 'A3·01').click();
  await expect(hand).toBeHidden();
  await expect(page.getByText(/^Ember Latch/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(slot(page, 'A1·01')).toHaveAccessibleName(/Ember Latch/);
});

test(
  'by keyboard: space lifts, arrows point, space sets down, escape leaves it where it was',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(room.url);
    await slot(page, 'A1·01').press('Enter');
    await expect(page.getByRole('complementary', { name: 'What lives here' })).toBeVisible();
    await page.keyboard.press(' ');
    const hand = page.getByRole('complementary', { name: 'In hand' });
    await expect(hand).toContainText('A1·01 is where it is now.');
    await page.keyboard.press('ArrowRight');
    await expect(hand).toContainText('something else lives there');
    await page.keyboard.press(' ');
    await expect(hand).toContainText('something else lives there');
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowDown');
    await expect(hand).toContainText('A3·01 takes it');
    await page.keyboard.press(' ');
    await expect(hand).toBeHidden();
    await expect(slot(page, 'A3·01')).toHaveAccessibleName(/Ember Latch/);
    await page.keyboard.press(' ');
    await expect(hand).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(hand).toBeHidden();
    await expect(slot(page, 'A3·01')).toHaveAccessibleName(/Ember Latch/);
  },
);

test(
  'by dragging: a drop is taken where it fits, and one that is refused stays in hand with the reason',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(room.url);
    const middle = async (address: string) => {
      const box = await slot(page, address).boundingBox();
      return { x: (box?.x ?? 0) + (box?.width ?? 0) / 2, y: (box?.y ?? 0) + (box?.height ?? 0) / 2 };
    };
    const drag = async (from: string, to: string) => {
      const [a, b] = [await middle(from), await middle(to)];
      await page.mouse.move(a.x, a.y);
      await page.mouse.down();
      await page.mouse.move(a.x + 12, a.y + 4, { steps: 3 });
      // What is dragged is in hand before it is let go, however busy the page is.
      await page.getByRole('complementary', { name: 'In hand' }).waitFor();
      await page.mouse.move(b.x, b.y, { steps: 8 });
      await page.mouse.up();
    };
    await slot(page, 'A1·01').waitFor();
    await drag('A1·01', 'A3·01');
    await expect(slot(page, 'A3·01')).toHaveAccessibleName(/Ember Latch/);
    await drag('A3·01', 'B1·01');
    const hand = page.getByRole('complementary', { name: 'In hand' });
    await expect(hand).toContainText('B1·01 is not made for Ember Latch.');
    await hand.getByRole('button', { name: /Cupboard box$/ }).click();
    await hand.getByRole('button', { name: 'Set it down here' }).click();
    await expect(slot(page, 'A3·01')).toHaveAccessibleName(/open/i);
  },
);

test('by finger: holding lifts, moving points, letting go sets down; a swipe still scrolls', async ({
  page,
  room,
}) => {
  await page.goto(room.url);
  await slot(page, 'A1·01').waitFor();
  await dragByFinger(page, slot(page, 'A1·01'), slot(page, 'A3·01'));
  await expect(slot(page, 'A3·01')).toHaveAccessibleName(/Ember Latch/);
  expect(await livesAt(page, 'A3·01')).toBe('Ember Latch');
});

test('by finger: what is refused stays in hand, with the reason and who would take it', async ({
  page,
  room,
}) => {
  await page.goto(room.url);
  await slot(page, 'A1·01').waitFor();
  await dragByFinger(page, slot(page, 'A1·01'), slot(page, 'B1·02'));
  const hand = page.getByRole('complementary', { name: 'In hand' });
  await expect(hand).toContainText(/B1·02 (is not made for|does not take) Ember Latch/);
  await hand.getByRole('button', { name: 'Leave where it was' }).click();
  expect(await livesAt(page, 'A1·01')).toBe('Ember Latch');
});

test.describe('in the zoomed room', () => {
  test.use({ wall: 'room' });
  test('by finger: what is held is dragged, and the room stays where it is', async ({ page, room }) => {
    await page.goto(room.url);
    await page.getByRole('button', { name: /^Go to A Pad rack/ }).press('Enter');
    await slot(page, 'A1·01').waitFor();
    await page.waitForTimeout(500);
    const before = await slot(page, 'A1·01').boundingBox();
    await dragByFinger(page, slot(page, 'A1·01'), slot(page, 'A3·01'));
    await expect(slot(page, 'A3·01')).toHaveAccessibleName(/Ember Latch/);
    const after = await slot(page, 'A1·01').boundingBox();
    expect(Math.abs((after?.x ?? 0) - (before?.x ?? 0))).toBeLessThan(2);
  });
});

test('what belongs together and is kept apart is carried to a place that takes both', async ({
  page,
  room,
}) => {
  await page.goto(`${room.url}/storage`);
  await expect(page.getByRole('heading', { name: 'Kept apart' })).toBeVisible();
  await page
    .getByRole('button', { name: /^Carry .* and what belongs to it$/ })
    .first()
    .click();
  const hand = page.getByRole('complementary', { name: 'In hand' });
  await expect(hand).toContainText(/^.*In hand: .* and .*\./);
  await hand.getByRole('button', { name: 'Leave where it was' }).click();
  await expect(hand).toBeHidden();
});

test(
  'another like a rack is put up, turned a quarter; a gap says what could stand in it',
  { tag: '@wide' },
  async ({ page, room }) => {
    await page.goto(`${room.url}/storage?unit=demo-palette-tray`);
    await page.getByRole('button', { name: 'Put up another like it' }).click();
    await expect(page.getByRole('textbox', { name: 'Rows' })).toHaveValue('3');
    await page.getByRole('button', { name: 'Turn it a quarter' }).click();
    await expect(page.getByRole('textbox', { name: 'Rows' })).toHaveValue('2');
    await expect(page.getByRole('textbox', { name: 'Columns', exact: true })).toHaveValue('3');
    await page.goto(`${room.url}/storage?unit=demo-bay`);
    await expect(
      page.getByRole('button', { name: /^Your spare Narrow pad rack: 24 places · fills \d+%/ }),
    ).toBeVisible();
    await page.getByRole('radio', { name: 'Markers' }).click();
    await expect(page.getByRole('button', { name: /^Your spare/ })).toBeHidden();
    await page
      .getByRole('button', { name: /^\d+ × .*: .*fills \d+%/ })
      .first()
      .click();
    await expect(page.getByText('It stands in: Open bay')).toBeVisible();
  },
);

test.describe('by keyboard', () => {
  test.use({ wall: 'room' });
  test(
    'what the Tab key reaches comes into view, and Enter goes there',
    { tag: '@wide' },
    async ({ page, room }) => {
      await page.goto(room.url);
      await page.getByRole('button', { name: 'The whole room' }).waitFor();
      const view = page.getByLabel('The room, drawn to scale');
      const file = page.getByRole('button', { name: /^Go to C Card file/ });
      await file.waitFor({ state: 'attached' });
      await page.getByRole('button', { name: /^Go to M Paper drawer/ }).focus();
      for (let i = 0; i < 12 && !(await file.evaluate((element) => element === document.activeElement)); i++)
        await page.keyboard.press('Tab');
      await expect(file).toBeInViewport();
      await expect
        .poll(() => view.evaluate(({ scrollLeft, scrollTop }) => [scrollLeft, scrollTop]))
        .toEqual([0, 0]);
      await page.keyboard.press('Enter');
      await expect(slot(page, 'C1·01')).toBeInViewport({ ratio: 0.9 });
    },
  );
});
