import type { LedgerView, SupplyView, WallView } from '../packages/contract/src';
import type { Page } from '@playwright/test';
import { ready } from './ready';
import { expect, test, type Room } from './room';

test.use({ serviceWorkers: 'allow', cut: true });

const NAME = 'Quiet White';

/** The supply as the server has it. */
async function onServer(room: Room, id: string): Promise<{ supply: SupplyView; ledger: LedgerView[] }> {
  return (await (await fetch(`${room.url}/api/supplies/${id}`)).json()) as {
    supply: SupplyView;
    ledger: LedgerView[];
  };
}
const usesIn = (ledger: readonly LedgerView[]): number => ledger.filter(({ act }) => act === 'use').length;

/** Opens a supply of the demo room; answers its id. */
async function openSupply(page: Page, room: Room, name: string): Promise<string> {
  await page.goto(`${room.url}/stash?q=${encodeURIComponent(name)}`);
  await page
    .getByRole('button', { name: new RegExp(name) })
    .first()
    .click();
  await page.waitForURL(/supply=/);
  return new URL(page.url()).searchParams.get('supply') ?? '';
}

/** Uses the supply that is open so many times, as fast as the page lets one. */
const useOften = (page: Page, times: number): Promise<void> =>
  page.evaluate(async (count) => {
    for (let done = 0; done < count; await new Promise((resolve) => setTimeout(resolve, 8))) {
      const buttons = [...document.querySelectorAll<HTMLElement>('[role=button], button')];
      const button = buttons.find((each) => each.textContent === 'Use one');
      if (!button) continue;
      button.click();
      done++;
    }
  }, times);

test('a row of acts goes on without a network; the page is closed, opened again, and everything is there once', async ({
  page,
  room,
  context,
}) => {
  const lists: string[] = [];
  page.on('request', (request) => {
    if (/\/api\/supplies$/.test(request.url())) lists.push(request.url());
  });
  const id = await openSupply(page, room, NAME);
  await expect(page.getByRole('heading', { name: NAME })).toBeVisible();
  const before = await onServer(room, id);
  const use = page.getByRole('button', { name: 'Use one', exact: true });
  for (let i = 0; i < 3; i++) {
    await use.click();
    await expect(page.getByText(`${NAME}: noted.`)).toBeVisible();
  }
  await ready(page, room);
  // The whole list goes over the wire once; then only what changed.
  expect(lists).toHaveLength(1);
  await room.stop();
  for (let i = 0; i < 4; i++) await use.click();
  await expect(page.getByText('4 acts wait here, and will be sent when it answers.')).toBeVisible();
  const left = before.supply.stock.left - 7;
  await expect(page.getByText(new RegExp(`\\b${left} (sheets|left)`)).first()).toBeVisible();
  await page.close();

  const again = await context.newPage();
  await again.goto(`${room.url}/stash`);
  await expect(again.getByText('4 acts wait here, and will be sent when it answers.')).toBeVisible();
  // The stash is there, and answers.
  await again.getByRole('button', { name: 'Do I own it?' }).click();
  await again.getByLabel('Colour, name, code or place').fill(NAME);
  await expect(again.getByTestId('verdict')).toHaveText('Yes');
  // So do acts on many things, and on the wall: they show, and wait.
  await again.goto(`${room.url}/stash?q=ember`);
  await again.getByRole('button', { name: 'More', exact: true }).click();
  await again.getByRole('button', { name: 'Choose many' }).click();
  await again.getByRole('button', { name: 'All shown' }).click();
  await again.getByRole('button', { name: 'Change', exact: true }).click();
  await again.getByRole('textbox', { name: 'Add tags' }).fill('glowing');
  await again.getByRole('button', { name: /^Change \d+ supplies/ }).click();
  await expect(again.getByText(/\d+ supplies changed\. It is kept here/)).toBeVisible();
  await again.goto(`${room.url}/rack`);
  await again.getByRole('textbox', { name: 'Name' }).fill('Attic row');
  await again.getByRole('button', { name: 'Put it up' }).click();
  await expect(again.getByRole('heading', { name: 'Attic row' })).toBeVisible();
  await again.goto(`${room.url}/stash?tag=glowing`);
  await expect(again.getByText(/^\d+ of 237 supplies/)).toBeVisible();
  await expect(again.getByText('6 acts wait here, and will be sent when it answers.')).toBeVisible();

  await room.start();
  expect(usesIn((await onServer(room, id)).ledger)).toBeGreaterThanOrEqual(usesIn(before.ledger) + 3);
  await expect(again.getByText(/acts? waits? here/)).toHaveCount(0);
  await expect
    .poll(async () => usesIn((await onServer(room, id)).ledger), { timeout: 20_000 })
    .toBe(usesIn(before.ledger) + 7);
  expect((await onServer(room, id)).supply.stock.left).toBe(left);
  const wall = (await (await fetch(`${room.url}/api/wall`)).json()) as WallView;
  expect(wall.units.filter(({ name }) => name === 'Attic row')).toHaveLength(1);
  await again.reload();
  await expect(again.getByText(/^\d+ of 237 supplies/)).toBeVisible();
});

test('what is taken back before it was sent was never done; what was refused is said, and stays until it was seen', async ({
  page,
  room,
  context,
}) => {
  // The size of the window makes no difference to it.
  const id = await openSupply(page, room, NAME);
  await expect(page.getByRole('heading', { name: NAME })).toBeVisible();
  const before = await onServer(room, id);
  await ready(page, room);
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Use one', exact: true }).click();
  await expect(page.getByText('1 act waits here')).toBeVisible();
  // Somebody else removes it meanwhile.
  await fetch(`${room.url}/api/supplies/${id}/remove`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ version: before.supply.version }),
  });
  await page.close();
  const again = await context.newPage();
  await again.goto(`${room.url}/stash`);
  await context.setOffline(false);
  await expect(again.getByText(`Not done: “${NAME}: noted”.`)).toBeVisible({ timeout: 30_000 });
  await again.reload();
  await expect(again.getByText(`Not done: “${NAME}: noted”.`)).toBeVisible();
  await again.getByRole('button', { name: 'Seen' }).click();
  await expect(again.getByText('Not done:')).toHaveCount(0);
  await again.reload();
  await expect(again.getByRole('heading', { name: 'Stash' })).toBeVisible();
  await expect(again.getByText('Not done:')).toHaveCount(0);
});

test(
  'the server is killed twice during 500 acts of a page: each is done, and none twice',
  { tag: '@wide' },
  async ({ page, room }) => {
    // The size of the window makes no difference to it.
    test.setTimeout(180_000);
    const id = await openSupply(page, room, 'Marsh Lantern');
    await expect(page.getByRole('button', { name: 'Use one', exact: true })).toBeVisible();
    const before = usesIn((await onServer(room, id)).ledger);
    const acting = useOften(page, 500);
    for (let i = 0; i < 2; i++) {
      await page.waitForTimeout(2000);
      await room.restart({ hard: true });
    }
    await acting;
    await expect
      .poll(async () => usesIn((await onServer(room, id)).ledger), { timeout: 120_000 })
      .toBe(before + 500);
    await expect(page.getByText(/acts? waits? here/)).toHaveCount(0);
  },
);
