import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vitest/config';

// Not where noon is noon everywhere: what is of a day is of the day where the person is.
process.env['TZ'] = 'America/New_York';

const PAGES = 'web/src/{features,shell,ui}/**/*.test.ts';

export default defineConfig({
  test: {
    projects: [
      {
        extends: true,
        test: {
          name: 'units',
          include: ['{core,cli,server,demo,web}/src/**/*.test.ts', 'scripts/**/*.test.ts'],
          exclude: ['**/node_modules/**', PAGES],
        },
      },
      // What is seen, without a browser: components with the stores and the core that they really have, in a page that only thinks it is one.
      { extends: true, plugins: [vue()], test: { name: 'pages', include: [PAGES], environment: 'happy-dom' } },
    ],
    // A test in which no expectation was met, as where nothing was found to loop over, has not passed.
    expect: { requireAssertions: true },
    // Whoever tests on a busy machine waits longer: a test that hangs is still ended.
    testTimeout: 90_000,
    hookTimeout: 90_000,
    // Both cores, and what a test file imports is imported once for all that follow in its thread.
    pool: 'threads',
    maxWorkers: '100%',
    isolate: false,
  },
});
