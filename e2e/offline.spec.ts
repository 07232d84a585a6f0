import { readFileSync } from 'node:fs';
import { BUILT, startServer, type OwnServer } from './ownServer.ts';
import { expect, test as base } from './bench.ts';

/** A server that can be stopped, and can have another build. */
interface GrowingServer extends OwnServer {
  buildAnew(): void;
}

const test = base.extend<{ server: GrowingServer }>({
  server: async ({ page: _ }, use) => {
    let hasNewBuild = false;
    const server = await startServer({}, (request, response, next) => {
      if (!hasNewBuild || request.path !== '/sw.js') return next();
      response
        .type('js')
        .send(readFileSync(`${BUILT}/sw.js`, 'utf8').replace(/junctura-\$\{"\w+"\}/, 'junctura-later'));
    });
    await use({ ...server, buildAnew: () => (hasNewBuild = true) });
    await server.stop();
  },
});
test.use({ isUnused: true, serviceWorkers: 'allow', viewport: { width: 390, height: 844 }, hasTouch: true });

test('with the server gone the sitting goes on: the last tap is there, the next is kept', async ({
  bench,
  page,
  server,
}) => {
  await bench.open(`${server.address}/hoop/demo-kite`);
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await page.getByTestId('begin').tap();
  await page.getByTestId('done').tap();
  await expect(page.getByTestId('done')).toContainText('2 of');
  await server.stop();
  for (const number of [3, 4]) {
    await page.reload();
    await expect(page.getByTestId('done')).toContainText(`${number - 1} of`);
    await page.getByTestId('done').tap();
    await expect(page.getByTestId('done')).toContainText(`${number} of`);
  }
  // Other pages, too: nothing of the application was left on the server.
  await page.goto(`${server.address}/threads`);
  await expect(page.getByRole('heading', { name: 'Your thread box is empty' })).toBeVisible();
  await page.getByRole('button', { name: 'Add examples' }).tap();
  await expect(page.getByTestId('box-row').first()).toBeVisible();
});

test('a new version is offered between sittings, and taken when it is wanted', async ({ bench, page, server }) => {
  await bench.open(`${server.address}/hoop/demo-kite`);
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await page.reload();
  await page.getByTestId('begin').tap();
  server.buildAnew();
  await page.evaluate(async () => {
    const registration = await navigator.serviceWorker.ready;
    await registration.update();
  });
  await expect.poll(() => page.evaluate(async () => (await navigator.serviceWorker.ready).waiting !== null)).toBe(true);
  await expect(page.getByText('A new version of Junctura is ready')).toHaveCount(0);
  await page.goto(server.address);
  await expect(page.getByText('A new version of Junctura is ready')).toBeVisible();
  const loaded = page.waitForEvent('load');
  await page.getByRole('button', { name: 'Update now' }).tap();
  await loaded;
  await expect.poll(() => page.evaluate(() => caches.keys())).toEqual(['junctura-later']);
  await expect(page.getByRole('heading', { name: 'Begin a piece' })).toBeVisible();
});

test.describe('in the first seconds of a first visit', () => {
  test.use({ serviceWorkers: 'block', viewport: { width: 1280, height: 800 } });

  test('a card that can’t come says so, and comes when the network does', async ({ page }) => {
    await page.goto('/piece/demo-kite/stitches');
    await expect(page.getByRole('contentinfo', { name: 'Tally' })).toContainText('Stitches');
    await page.route(/FinishStep/, (route) => route.abort('internetdisconnected'));
    await page
      .getByRole('navigation', { name: 'Steps' })
      .getByRole('link', { name: /Finish/ })
      .click();
    const missing = page.getByTestId('missing');
    await expect(missing).toContainText('could not be loaded');
    await page.unroute(/FinishStep/);
    await page.evaluate(() => dispatchEvent(new Event('online')));
    await expect(page.getByRole('complementary').getByText('Templates')).toBeVisible();
    await expect(missing).toBeHidden();
  });
});
