import { defineConfig } from '@playwright/test';

const browser = {
  browserName: 'chromium',
  launchOptions: {
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  },
  // Only the journeys without a network need it.
  serviceWorkers: 'block',
} as const;

/**
 * Journeys through the real interface, each over a demo room of its own. A journey runs on a phone; one with the tag @wide runs on a
 * wide screen instead, and one with @both on either, where what it shows differs.
 */
export default defineConfig({
  testDir: 'e2e',
  timeout: 90_000,
  expect: { timeout: 15_000 },
  workers: 2,
  fullyParallel: true,
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  projects: [
    {
      name: 'phone',
      grepInvert: /@wide/,
      use: { ...browser, viewport: { width: 390, height: 844 }, hasTouch: true },
    },
    { name: 'wide', grep: /@wide|@both/, use: { ...browser, viewport: { width: 1280, height: 800 } } },
  ],
});
