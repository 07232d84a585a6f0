import { defineConfig } from 'vitest/config';

// Not where noon is noon everywhere: what is of a day is of the day where the person is.
process.env['TZ'] = 'America/New_York';

export default defineConfig({
  test: {
    include: [
      'core/src/**/*.test.ts',
      'cli/src/**/*.test.ts',
      'server/src/**/*.test.ts',
      'web/src/**/*.test.ts',
      'demo/src/**/*.test.ts',
    ],
    // Whoever tests on a busy machine waits longer: a test that hangs is still ended.
    testTimeout: 90_000,
    hookTimeout: 90_000,
    // Both cores, and what a test file imports is imported once for all that follow in its thread.
    pool: 'threads',
    maxWorkers: '100%',
    isolate: false,
  },
});
