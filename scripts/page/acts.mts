import type { Locator, Page } from '@playwright/test';
import { dragByFinger } from '../../e2e/finger.ts';

interface Screen {
  readonly name: string;
  readonly path: string;
  /** What shows that the screen stands. */
  readonly stands: (page: Page) => Locator;
}
interface Act {
  readonly name: string;
  readonly path: string;
  /** The stash is larger after it. */
  readonly grows?: boolean;
  readonly act: (page: Page) => Promise<unknown>;
}

// Looking for a role and its name walks the whole page, on the page's own thread, and would be measured with it: what is
// looked for here is found by an attribute or a text.
const found = (selector: string) => (page: Page) => page.locator(selector).first();
const heading = found('h1, h2, [role=heading]');
const button = (text?: string | RegExp) => (page: Page) =>
  page.locator('[role=main] [role=button]', text === undefined ? {} : { hasText: text }).first();
const labelled = (label: string) => found(`[aria-label="${label}"]`);

/** The main screens, and what stands on each when it is there. */
export const SCREENS: readonly Screen[] = [
  { name: 'the wall', path: '/', stands: found('[aria-label^="Slot "]') },
  { name: 'the stash', path: '/stash', stands: (page) => page.locator('[role=main] [role=button]').nth(6) },
  { name: 'Add', path: '/stash/add', stands: labelled('Name') },
  { name: 'Do I own it?', path: '/stash/own', stands: (page) => page.locator('input').first() },
  { name: 'Arrange', path: '/arrange', stands: button(/^(Begin: |Nothing to lift)/) },
  { name: 'the bench', path: '/bench', stands: (page) => page.locator('[role=main] [role=button]').nth(3) },
  { name: 'Cut', path: '/bench/cut', stands: heading },
  { name: 'Gaps', path: '/gaps', stands: (page) => page.locator('[role=main] [role=button]').nth(6) },
  { name: 'Worth a look', path: '/gaps/look', stands: heading },
  { name: 'Sort out', path: '/gaps/sort-out', stands: found('[aria-label*="question mark"]') },
  { name: 'Figures', path: '/gaps/figures', stands: heading },
  { name: 'Shopping', path: '/gaps/shopping', stands: heading },
  { name: 'Storage', path: '/storage', stands: button() },
  { name: 'the journal', path: '/journal', stands: button() },
  { name: 'Data', path: '/data', stands: button('Save as CSV') },
  { name: 'Settings', path: '/settings', stands: button() },
];

const SEARCH = 'Colour, name, code or place';
const link = (href: string, screen: string): Act => ({
  name: `going to ${screen}`,
  path: '/',
  act: (page) => found(`[role=navigation] a[href="${href}"]`)(page).tap(),
});
/** From place to place in the app as it is open. */
export const FROM_THE_WALL: readonly Act[] = [
  link('/stash', 'the stash'),
  link('/arrange', 'Arrange'),
  link('/bench', 'the bench'),
  link('/gaps', 'Gaps'),
  link('/', 'the wall'),
];

let lists = 0;
/** A list as another program would write it; each is of things that no earlier one named. */
const list = (rows: number): string => {
  const which = ++lists;
  return [
    'Name,Kind,Colour,Maker,Amount',
    ...Array.from({ length: rows }, (_, i) => {
      const hex = ((i * 2654435761) & 0xffffff).toString(16).padStart(6, '0');
      return `Row ${which}-${i},${['ink', 'marker', 'cardstock', 'ribbon', 'sticker'][i % 5]},#${hex},Tarnwick Mill,${1 + (i % 9)}`;
    }),
  ].join('\n');
};

export const ACTS: readonly Act[] = [
  ...['grean card', 'a1', 'low'].map((words) => ({
    name: `searching “${words}”`,
    path: '/stash',
    act: (page: Page) => labelled(SEARCH)(page).pressSequentially(words, { delay: 120 }),
  })),
  {
    name: 'typing into Add',
    path: '/stash/add',
    act: async (page) => {
      await labelled('Name')(page).pressSequentially('Harbour green', { delay: 120 });
      await labelled('Colour')(page).pressSequentially('sea green', { delay: 120 });
    },
  },
  {
    name: 'asking “Do I own it?”',
    path: '/stash/own',
    act: (page) => page.locator('input').first().pressSequentially('dark green ribbon', { delay: 120 }),
  },
  {
    name: 'a thing opened from the list',
    path: '/stash',
    act: (page) => page.locator('[role=main] [role=button]').nth(6).tap(),
  },
  {
    name: 'dragging from slot to slot',
    path: '/',
    act: (page) => {
      const slots = page.locator('[aria-label^="Slot "]');
      return dragByFinger(page, slots.nth(0), slots.nth(7), 12);
    },
  },
  {
    name: 'arranging: another kind, begun, three lifts',
    path: '/arrange',
    act: async (page) => {
      await found('[aria-label^="What: "]')(page).tap();
      const answer = page.waitForResponse((response) => response.url().endsWith('/arrange/preview'));
      await page.locator('[role=checkbox]', { hasText: /^Markers$/ }).tap();
      await answer;
      await button(/^Begin: /)(page).tap();
      for (let lift = 0; lift < 3; lift++) {
        await button(/^Done/)(page).tap();
        await page.waitForTimeout(1200);
      }
    },
  },
  {
    name: 'importing a list of 2,000 rows',
    path: '/data/import',
    grows: true,
    act: async (page) => {
      const chooser = page.waitForEvent('filechooser');
      await button('Choose a CSV')(page).tap();
      await (
        await chooser
      ).setFiles({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(list(2000)) });
      const bring = button(/^Import .*\d/)(page);
      await bring.tap({ timeout: 60_000 });
      await page.waitForTimeout(5000);
    },
  },
];
