import AxeBuilder from '@axe-core/playwright';
import { expect, test } from './room';

const SCREENS = [
  ['the wall', '/', 'Boathouse wall'],
  ['the stash', '/stash', 'Stash'],
  ['a supply', '/stash?supply=demo-000010', 'What happened'],
  ['adding', '/stash/add', 'Add to the stash'],
  ['do I own it', '/stash/own?q=%23d85d66', 'Do I own it?'],
  ['sorting out', '/stash/sort-out', 'Sort out'],
  ['a pile', '/stash/pile', 'A pile at a time'],
  ['ranges', '/stash/ranges', 'Ranges'],
  ['a mixed pack', '/stash/pack', 'A mixed pack'],
  ['kits and packs', '/stash/kits', 'Kits and packs'],
  ['families', '/stash/families', 'Families and measures'],
  ['tags', '/stash/tags', 'Tags'],
  ['lately', '/stash/lately', 'Lately'],
  ['swatches', '/stash?view=swatches', 'Stash'],
  ['arranging', '/arrange', 'Planned'],
  ['gaps', '/gaps', 'Gaps'],
  ['data', '/data', 'Data'],
  ['a list to import', '/data/import', 'Bring in a list'],
  ['worth a look', '/stash/look', 'Worth a look'],
  ['order and drawers', '/stash/order', 'Order and drawers'],
  ['paper', '/stash/paper', 'Paper for…'],
  ['storage', '/storage', 'Storage'],
  ['one rack', '/storage?unit=demo-000000', 'Labels'],
  ['letters', '/stash?supply=demo-odd-003', 'Letters left'],
  ['a new rack', '/rack', 'Put up a rack'],
] as const;

for (const [name, path, heading] of SCREENS) {
  test(`${name} has no serious or critical accessibility finding`, async ({ page, room }) => {
    await page.goto(room.url + path);
    await expect(page.getByRole('heading', { name: heading }).first()).toBeVisible();
    const { violations } = await new AxeBuilder({ page }).analyze();
    const grave = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
    expect(grave.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
  });
}

test('the wall works by keyboard alone', async ({ page, room }, { project }) => {
  test.skip(project.name === 'phone', 'a phone has no keyboard');
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
