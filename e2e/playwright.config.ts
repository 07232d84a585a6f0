import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './chromium.ts';

const PORT = 4179;

export default defineConfig({
  testDir: '.',
  outputDir: 'results',
  fullyParallel: true,
  workers: 2,
  retries: 0,
  // Nothing is timed here: a slow machine gets the time that it needs.
  timeout: 180_000,
  expect: { timeout: 40_000 },
  use: {
    testIdAttribute: 'data-test',
    // What waits longer waits for what will not come: the failure says for what, not only that the test took too long.
    actionTimeout: 60_000,
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    // Each test opens in a browser that has nothing: keeping all of the application there is tested where it matters.
    serviceWorkers: 'block',
    // Nothing is looked at halfway through a change of colour.
    contextOptions: { reducedMotion: 'reduce' },
    // All pages of the application share one process: it starts once, as long as one of them stays open (profiles.ts).
    launchOptions: { ...CHROMIUM, args: [...CHROMIUM.args, '--process-per-site'] },
  },
  webServer: {
    command: 'npx tsx ../server/src/main.ts',
    url: `http://localhost:${PORT}/healthz`,
    env: { PORT: String(PORT) },
    reuseExistingServer: false,
  },
});
