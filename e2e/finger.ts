import type { Locator, Page } from '@playwright/test';

/** Holds one thing by a finger and lets it go over another, in so many steps. */
export async function dragByFinger(page: Page, from: Locator, to: Locator, steps = 3): Promise<void> {
  const client = await page.context().newCDPSession(page);
  const middle = async (locator: Locator) => {
    const box = await locator.boundingBox();
    return { x: (box?.x ?? 0) + (box?.width ?? 0) / 2, y: (box?.y ?? 0) + (box?.height ?? 0) / 2 };
  };
  let [start, end] = [await middle(from), await middle(to)];
  // A room that still finds its place is waited for.
  for (let before = ''; before !== JSON.stringify([start, end]);) {
    before = JSON.stringify([start, end]);
    await page.waitForTimeout(150);
    [start, end] = [await middle(from), await middle(to)];
  }
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', point?: { x: number; y: number }) =>
    client.send('Input.dispatchTouchEvent', { type, touchPoints: point ? [point] : [] });
  await touch('touchStart', start);
  // One holds until it is in hand, however busy the page is.
  await page.locator('[aria-label="In hand"]').waitFor();
  for (let step = 1; step <= steps; step++)
    await touch('touchMove', {
      x: start.x + ((end.x - start.x) * step) / steps,
      y: start.y + ((end.y - start.y) * step) / steps,
    });
  await touch('touchEnd');
}
