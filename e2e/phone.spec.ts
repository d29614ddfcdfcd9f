import type { Browser, Page } from '@playwright/test';
import { expect, test, type Room } from './room';

const HERE = '127.0.0.2';
const PHRASE = 'green paper lamp';
test.use({ share: HERE });

/** Another device: its own cookies, and it goes on after the browser's warning. */
async function anotherDevice(browser: Browser, room: Room): Promise<{ page: Page; url: string }> {
  const context = await browser.newContext({ ignoreHTTPSErrors: true, serviceWorkers: 'block' });
  room.watch(context);
  return { page: await context.newPage(), url: `https://${HERE}:${new URL(room.url).port}` };
}
async function comeIn(page: Page, passphrase: string): Promise<void> {
  await page.getByRole('textbox', { name: 'Passphrase' }).fill(passphrase);
  await page.getByRole('button', { name: 'Come in' }).click();
}

test('a phone is let in by the passphrase, works, is shut out, and loses nothing of what it did', async ({
  page,
  room,
  browser,
}) => {
  // The size of the window makes no difference to it.
  await page.goto(`${room.url}/settings`);
  await page.getByRole('button', { name: 'On your phone' }).click();
  await page.getByRole('textbox', { name: 'Passphrase' }).fill('too short');
  await page.getByRole('button', { name: 'Set it, and share' }).click();
  await expect(page.getByText(/at least 10 characters: four words/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Passphrase' }).fill(PHRASE);
  await page.getByRole('button', { name: 'Set it, and share' }).click();
  await expect(page.getByRole('img', { name: /QR code of https:/ })).toBeVisible();

  const { page: phone, url } = await anotherDevice(browser, room);
  await phone.goto(`${url}/stash?q=Quiet+White`);
  await comeIn(phone, 'green paper lump');
  await expect(phone.getByText('That is not the passphrase of this stash.')).toBeVisible();
  await expect(phone.getByText('Quiet White')).toBeHidden();
  await comeIn(phone, PHRASE);
  await phone
    .getByRole('button', { name: /Quiet White/ })
    .first()
    .click();
  await phone.waitForURL(/supply=/);
  const id = new URL(phone.url()).searchParams.get('supply') ?? '';
  const uses = async (): Promise<number> => {
    const answer = await fetch(`${room.url}/api/supplies/${id}`);
    const { ledger } = (await answer.json()) as { ledger: { act: string }[] };
    return ledger.filter(({ act }) => act === 'use').length;
  };
  const before = await uses();
  await phone.getByRole('button', { name: 'Use one' }).first().click();
  await expect.poll(uses).toBe(before + 1);

  // The computer sees it, names it, and shuts it out; what the phone does then waits.
  await expect(page.getByText(/Let in/)).toBeVisible();
  await page.getByRole('button', { name: /^Rename/ }).click();
  await page.getByRole('textbox', { name: 'Name of this device' }).fill('Blue phone');
  await page.getByRole('button', { name: 'Keep the name' }).click();
  await expect(page.getByText('Blue phone')).toBeVisible();
  await page.getByRole('button', { name: 'Shut out: Blue phone' }).click();
  await expect(page.getByText('None yet.')).toBeVisible();
  await phone.getByRole('button', { name: 'Use one' }).first().click();
  await expect(
    phone.getByText('1 change made here waits, and will be sent once it is let in.'),
  ).toBeVisible();
  await expect(phone.getByText('Quiet White')).toBeHidden();
  expect(await uses()).toBe(before + 1);
  await comeIn(phone, PHRASE);
  await expect(phone.getByText('Quiet White').first()).toBeVisible();
  await expect.poll(uses).toBe(before + 2);

  // It leaves by itself.
  await phone.goto(`${url}/settings/phone`);
  await phone.getByRole('button', { name: /^Leave/ }).click();
  await expect(phone.getByRole('button', { name: 'Come in' })).toBeVisible();
  await phone.reload();
  await expect(phone.getByRole('button', { name: 'Come in' })).toBeVisible();
  await phone.context().close();
});
