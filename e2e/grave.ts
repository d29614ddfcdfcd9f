import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/** What on a page somebody could not read or use, each as its rule and where it was found. */
export async function graveFindings(page: Page): Promise<string[]> {
  // What is in order is not listed, and all is asked in the page itself: there are no frames of other origins, for which another
  // page would be opened. Either takes longer than the rest.
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`);
}
