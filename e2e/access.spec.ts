import { graveFindings } from './grave';
import { expect, test } from './room';

const SCREENS = [
  ['the wall', '/', 'Boathouse wall'],
  ['the stash', '/stash', 'Stash'],
  ['a supply', '/stash?supply=demo-000010', 'What happened'],
  ['adding', '/stash/add', 'Add to the stash'],
  ['do I own it', '/stash/own?q=%23d85d66', 'Do I own it?'],
  ['sorting out', '/gaps/sort-out', 'Sort out'],
  ['a pile', '/stash/pile', 'A pile at a time'],
  ['ranges', '/stash/ranges', 'Ranges'],
  ['a mixed pack', '/stash/pack', 'A mixed pack'],
  ['kits and packs', '/bench/kits', 'Projects, kits and packs'],
  ['families', '/arrange/families', 'Families'],
  ['settings', '/settings', 'Settings'],
  ['the bench', '/bench', 'Bench'],
  ['tags', '/stash/tags', 'Tags'],
  ['what happened', '/journal', 'What happened'],
  ['swatches', '/stash?view=swatches', 'Stash'],
  ['arranging', '/arrange', 'Planned'],
  ['gaps', '/gaps', 'Gaps'],
  ['cutting', '/bench/cut?supply=demo-odd-009', 'Cut'],
  ['shopping', '/gaps/shopping', 'Shopping list'],
  ['missing colours', '/gaps?about=colours', 'Gaps'],
  ['data', '/data', 'Data'],
  ['a list to import', '/data/import', 'Bring in a list'],
  ['worth a look', '/gaps/look', 'Worth a look'],
  ['order and drawers', '/arrange/order', 'Order and drawers'],
  ['paper', '/guide', 'Paper for…'],
  ['storage', '/storage', 'Storage'],
  ['one rack', '/storage?unit=demo-000000', 'Labels'],
  ['letters', '/stash?supply=demo-odd-003', 'Letters left'],
  ['a new rack', '/rack', 'Put up a rack'],
  ['scraps', '/bench/scraps', 'Scraps'],
  ['in pictures', '/gaps/figures', 'In pictures'],
  ['letting go', '/gaps/leaving', 'Letting go'],
  ['not used', '/gaps?about=unused', 'Gaps'],
  ['room', '/gaps?about=room', 'Gaps'],
  ['a kit', '/bench/kits?group=demo-record-0', 'River birthday set'],
] as const;

/** So many screens are looked at in one room: each needs its own, but nothing is changed in it. */
const TOGETHER = 6;

for (let from = 0; from < SCREENS.length; from += TOGETHER) {
  const some = SCREENS.slice(from, from + TOGETHER);
  const names = some.map(([name]) => name).join(', ');
  test(
    `no serious or critical accessibility finding: ${names}`,
    { tag: '@both' },
    async ({ page, room }, { project }) => {
      test.setTimeout(180_000);
      const grave: string[] = [];
      for (const [i, [name, path, heading]] of some.entries()) {
        // Every screen is looked at in both schemes: light on one size, dark on the other.
        const dark = (i % 2 === 0) === (project.name === 'phone');
        await page.emulateMedia({ colorScheme: dark ? 'dark' : 'light' });
        await page.goto(room.url + path);
        await expect(page.getByRole('heading', { name: heading }).first()).toBeVisible();
        for (const each of await graveFindings(page)) grave.push(`${name}: ${each}`);
      }
      expect(grave).toEqual([]);
    },
  );
}

test('the wall works by keyboard alone', { tag: '@wide' }, async ({ page, room }) => {
  await page.goto(room.url);
  await expect(page.getByRole('heading', { name: 'Pad rack' })).toBeVisible();
  await page.keyboard.press('/');
  await page.keyboard.type('green');
  await expect(page.getByText(/\d+ matches/)).toBeVisible();
  await page.getByRole('button', { name: /^Slot A1·01/ }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('heading', { name: 'A2·02' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('complementary')).toHaveCount(0);
});
