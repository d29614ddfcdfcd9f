import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { PDFDocument } from 'pdf-lib';
import { graveFindings } from './grave';
import { expect, test } from './room';

/** How many lifts are still to be made, as the screen says. */
async function leftOn(page: Page): Promise<number> {
  const said = await page
    .getByText(/^\d+ lifts? to go$/)
    .first()
    .textContent();
  return Number(/\d+/.exec(said ?? '')?.[0]);
}
const now = (page: Page) => page.getByRole('region', { name: /^Lift .* from .* to / });

/** Tells what is made where: by a thumb, or by keys alone. */
const doneBy = (page: Page, touch: boolean) => ({
  done: () => (touch ? page.getByRole('button', { name: /^Done/ }).tap() : page.keyboard.press('Enter')),
  back: () => (touch ? page.getByRole('button', { name: /^Take the last/ }).tap() : page.keyboard.press('u')),
  later: () =>
    touch ? page.getByRole('button', { name: /^Put this one off/ }).tap() : page.keyboard.press('l'),
});

test(
  'a rearrangement is begun, broken off, gone on with elsewhere after a change by hand, and ended',
  { tag: '@both' },
  async ({ page, room, browser }, { project }) => {
    const touch = project.name === 'phone';
    await page.goto(`${room.url}/arrange`);
    await page.getByRole('button', { name: /^Order: / }).click();
    await page.getByRole('radio', { name: /^Rainbow, light to dark/ }).click();
    await page.getByRole('button', { name: /^Begin: \d+ lifts$/ }).click();
    await expect(now(page)).toBeVisible();
    const all = await leftOn(page);
    expect(all).toBeGreaterThan(6);
    const hand = doneBy(page, touch);
    for (const made of [1, 2, 3]) {
      const before = await now(page).getAttribute('aria-label');
      await hand.done();
      await expect(now(page)).not.toHaveAttribute('aria-label', before ?? '');
      expect(await leftOn(page)).toBe(all - made);
    }
    // One step back, and one put off for another.
    await hand.back();
    await expect.poll(() => leftOn(page)).toBe(all - 2);
    const first = await now(page).getAttribute('aria-label');
    await hand.later();
    await expect(now(page)).not.toHaveAttribute('aria-label', first ?? '');
    // What was done has come to the server before this window is gone.
    await expect
      .poll(async () => {
        const { changes } = (await (await page.request.get(`${room.url}/api/changes`)).json()) as {
          changes: { kind: string }[];
        };
        return changes.filter(({ kind }) => kind === 'place').length;
      })
      .toBe(4);
    await page.close();

    // Another device, where somebody has moved a thing of the plan by hand meanwhile.
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, hasTouch: touch });
    room.watch(context);
    const other = await context.newPage();
    await other.goto(`${room.url}/arrange`);
    await other.getByRole('button', { name: /^Go on with / }).click();
    await expect(now(other)).toBeVisible();
    expect(await leftOn(other)).toBe(all - 2);
    const label = (await now(other).getAttribute('aria-label')) ?? '';
    const name = /^Lift (.*) from /.exec(label)?.[1] ?? '';
    const { supplies } = (await (await other.request.get(`${room.url}/api/supplies`)).json()) as {
      supplies: { name: string; holdings: { id: string; version: number; spot: object | null }[] }[];
    };
    const lot = supplies
      .flatMap((each) => (each.name === name ? each.holdings : []))
      .find(({ spot }) => spot);
    const moved = await other.request.put(`${room.url}/api/holdings/${lot?.id}/place`, {
      data: { version: lot?.version, place: { unitId: 'hand', cell: null } },
    });
    expect(moved.ok()).toBe(true);
    await other.reload();
    // It is on the desk now, and goes from there to where it was to go.
    await expect(other.getByText(/^\d+ lifts? to go$/)).toBeVisible();
    const again = doneBy(other, touch);
    for (let left = await leftOn(other); left > 0; left--) {
      await expect(other.getByText(left === 1 ? '1 lift to go' : `${left} lifts to go`)).toBeVisible();
      await again.done();
    }
    await expect(other.getByText('All of it is done.')).toBeVisible();
    await other.getByRole('button', { name: 'Keep it so' }).click();
    await expect(other.getByRole('button', { name: 'Nothing to lift' })).toBeVisible();
    await expect(other.getByRole('button', { name: /^Go on with / })).toHaveCount(0);
    await context.close();
  },
);

test('all of a plan is put back to where it stood, and the rest of one is left as it is', async ({
  page,
  room,
}) => {
  // The size of the window makes no difference to it.
  const places = async () => {
    const { supplies } = (await (await page.request.get(`${room.url}/api/supplies`)).json()) as {
      supplies: { holdings: { id: string; spot: { unitId: string; cell: number | null } | null }[] }[];
    };
    return supplies
      .flatMap(({ holdings }) => holdings.map(({ id, spot }) => `${id} ${spot?.unitId} ${spot?.cell}`))
      .sort();
  };
  const before = await places();
  await page.goto(`${room.url}/arrange`);
  await page.getByRole('button', { name: /^Begin: \d+ lifts$/ }).click();
  await expect(now(page)).toBeVisible();
  const all = await leftOn(page);
  for (const made of [1, 2, 3]) {
    await page.getByRole('button', { name: /^Done/ }).click();
    await expect.poll(() => leftOn(page)).toBe(all - made);
  }
  await page.getByRole('button', { name: /^Put everything back/ }).click();
  await expect(page.getByText('3 lifts to go')).toBeVisible();
  for (const left of [2, 1]) {
    await page.getByRole('button', { name: /^Done/ }).click();
    await expect.poll(() => leftOn(page)).toBe(left);
  }
  await page.getByRole('button', { name: /^Done/ }).click();
  await expect(page.getByText('All of it is done.')).toBeVisible();
  // The page says it at once; the server has it a moment later.
  await expect.poll(places).toEqual(before);
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByRole('button', { name: /^Begin: \d+ lifts$/ })).toBeVisible();
});

test('what goes the same way is carried over together: one tap, one change, taken back as one', async ({
  page,
  room,
}) => {
  const read = async <T>(path: string): Promise<T> =>
    (await (await page.request.get(`${room.url}${path}`)).json()) as T;
  interface Lot {
    readonly id: string;
    readonly spot: { readonly unitId: string; readonly cell: number | null } | null;
  }
  const lots = async () =>
    (await read<{ supplies: { holdings: Lot[] }[] }>('/api/supplies')).supplies.flatMap(
      (each) => each.holdings,
    );
  const { units } = await read<{ units: (Grid & { id: string })[] }>('/api/wall');
  const [tray, rack] = ['Regatta tray', 'Pad rack'].map(
    (name) => units.find((unit) => unit.name === name)!.id,
  );
  const inCell = (all: Lot[], unitId = '') =>
    new Map(all.flatMap(({ id, spot }) => (spot?.unitId === unitId ? [[spot.cell ?? -1, id] as const] : [])));
  const before = inCell(await lots(), tray);
  const taken = inCell(await lots(), rack);
  const open = [...Array(60).keys()].filter((cell) => !taken.has(cell));
  expect(before.size).toBeGreaterThanOrEqual(3);
  const moves = [...before].map(([cell, id], i) => [id, [0, cell, 0], [1, open[i], 0]]);
  const body = { sort: 'plan', name: 'Empty the tray', units: [tray, rack], moves };
  expect((await page.request.post(`${room.url}/api/records`, { data: { body } })).ok()).toBe(true);
  await page.goto(`${room.url}/arrange`);
  await page.getByRole('button', { name: /^Go on with / }).click();
  const n = before.size;
  // It says what the tray weighs, and that it comes back.
  await expect(
    page.getByText(new RegExp(`^These ${n} go from .* Carry .* over as it is, about .*bring it back`)),
  ).toBeVisible();
  await page.getByRole('button', { name: new RegExp(`^All ${n} that go this way`) }).click();
  await expect(page.getByText('All of it is done.')).toBeVisible();
  const there = async () => inCell(await lots(), tray);
  await expect.poll(async () => (await there()).size).toBe(0);
  const { changes } = await read<{ changes: { kind: string; count: number }[] }>('/api/changes');
  expect(changes[0]).toMatchObject({ kind: 'place', count: n });
  // Taken back as one, by its key; and there again by another, each where it was to go.
  await page.keyboard.press('u');
  await expect(now(page)).toBeVisible();
  await expect.poll(there).toEqual(before);
  await page.keyboard.press('a');
  await expect(page.getByText('All of it is done.')).toBeVisible();
  const wanted = new Map(moves.map(([id], i) => [open[i], id]));
  await expect
    .poll(async () => new Map([...inCell(await lots(), rack)].filter(([cell]) => wanted.has(cell))))
    .toEqual(wanted);
});

test(
  'what is planned and what is to be lifted are printed, and so is a packing list; all of it can be read by everybody',
  { tag: '@wide' },
  async ({ page, room }) => {
    // The size of the window makes no difference to it.
    const printed = async (name: string): Promise<number> => {
      const saving = page.waitForEvent('download');
      await page.getByRole('button', { name }).click();
      const pdf = await PDFDocument.load(readFileSync(await (await saving).path()));
      return pdf.getPageCount();
    };
    await page.goto(`${room.url}/arrange`);
    await expect(page.getByRole('heading', { name: 'Planned' })).toBeVisible();
    expect(await printed('Print now and planned')).toBeGreaterThan(0);
    await page.getByRole('button', { name: /^Order: / }).click();
    expect(await graveFindings(page)).toEqual([]);
    // An order is kept by name, and is there to choose.
    const workedOut = page.waitForResponse(
      (answer) =>
        answer.url().endsWith('/arrange/preview') &&
        (answer.request().postData() ?? '').includes('"smooth":0.6'),
    );
    await page.getByRole('slider', { name: 'How smooth' }).fill('0.6');
    await page.getByRole('textbox', { name: 'Keep this order as' }).fill('Rather smooth');
    await page.getByRole('button', { name: 'Keep this order' }).click();
    await expect(page.getByRole('radio', { name: /^Rather smooth/ })).toBeChecked();
    await expect(page.getByText('60% smooth')).toBeVisible();
    // Until then the button is of the choice before, and locks as soon as this one is asked for.
    await workedOut;
    await page.getByRole('button', { name: /^Begin: \d+ lifts$/ }).click();
    await expect(now(page)).toBeVisible();
    expect(await printed('Print the list')).toBeGreaterThan(0);
    expect(await graveFindings(page)).toEqual([]);
    await page.goto(`${room.url}/storage`);
    expect(await printed('Print a packing list')).toBeGreaterThan(4);
  },
);

test('a place that is changed in another window is seen: before a plan is begun, and while it is carried out', async ({
  page,
  room,
}) => {
  // The size of the window makes no difference to it.
  const wall = async (): Promise<(Grid & { id: string; version: number })[]> =>
    ((await (await page.request.get(`${room.url}/api/wall`)).json()) as { units: never[] }).units;
  /** Somebody else saws the last row off a rack. */
  const sawOff = async (unitId: string): Promise<number> => {
    const { version, name, rules, facts, model } = (await wall()).find(({ id }) => id === unitId)!;
    if (!model) throw new Error('A rack has cells');
    const body = { version, name, rules, facts, model: { ...model, rowsUm: model.rowsUm.slice(0, -1) } };
    const answer = await page.request.put(`${room.url}/api/units/${unitId}`, { data: body });
    expect(answer.ok()).toBe(true);
    return model.rowsUm.length - 1;
  };
  await page.goto(`${room.url}/arrange`);
  await page.getByRole('button', { name: /^Order: / }).click();
  await page.getByRole('radio', { name: /^Rainbow, light to dark/ }).click();
  await expect(page.getByRole('button', { name: /^Begin: \d+ lifts$/ })).toBeEnabled();
  const racks = (await wall()).filter(
    ({ model, rules }) => model?.model === 'grid' && rules.kinds.includes('ink'),
  );
  const rack = racks[0]!;
  await sawOff(rack.id);
  await page.getByRole('button', { name: /^Begin: \d+ lifts$/ }).click();
  await expect(page.getByText(/The stash has changed since this preview/).first()).toBeVisible();
  await page.getByRole('button', { name: /^Begin: \d+ lifts$/ }).click();
  await expect(now(page)).toBeVisible();
  // Now a place of the plan goes while it is carried out: what was to go there stays, and the rest goes on.
  const rows = await sawOff(rack.id);
  await page.getByRole('button', { name: /^Done/ }).click();
  await expect(page.getByText(/Left where they are, since their place is there no more/)).toBeVisible();
  for (let left = await leftOn(page); left > 0; left--) {
    await expect(page.getByText(left === 1 ? '1 lift to go' : `${left} lifts to go`)).toBeVisible();
    await page.getByRole('button', { name: /^Done/ }).click();
  }
  await expect(page.getByText('All of it is done.')).toBeVisible();
  expect((await wall()).find(({ id }) => id === rack.id)?.model?.rowsUm).toHaveLength(rows);
});

interface Grid {
  readonly name: string;
  readonly facts: object;
  readonly rules: { readonly kinds: readonly string[] };
  readonly model: { readonly model: string; readonly rowsUm: readonly number[] } | null;
}
