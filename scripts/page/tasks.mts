import type { Page } from '@playwright/test';

/** Notes every long task of a page from its beginning; answers what reads the longest since it was last read, ms. */
export async function watchTasks(page: Page): Promise<() => Promise<number>> {
  await page.addInitScript(() => {
    const state = window as unknown as { tasks: number[] };
    state.tasks = [];
    // What began before is the work of what drives the browser.
    const begun = performance.now();
    new PerformanceObserver((list) => {
      for (const { startTime, duration } of list.getEntries())
        if (startTime > begun) state.tasks.push(duration);
    }).observe({ type: 'longtask', buffered: true });
  });
  return () =>
    page.evaluate(() => {
      const state = window as unknown as { tasks: number[] };
      const longest = Math.max(0, ...state.tasks);
      state.tasks = [];
      return longest;
    });
}
