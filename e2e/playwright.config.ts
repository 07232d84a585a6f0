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
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    // Each test opens in a browser that has nothing: keeping all of the application there is tested where it matters.
    serviceWorkers: 'block',
    // Nothing is looked at halfway through a change of colour.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: CHROMIUM,
  },
  webServer: {
    command: 'npx tsx ../server/src/main.ts',
    url: `http://localhost:${PORT}/healthz`,
    env: { PORT: String(PORT) },
    reuseExistingServer: false,
  },
});
