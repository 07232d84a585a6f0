import express from 'express';
import { readFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { createApp } from '../server/src/app.ts';
import { expect, test as base } from './bench.ts';

const dist = fileURLToPath(new URL('../web/dist', import.meta.url));

/** A server of its own, that can be stopped, and can have another build. */
class OwnServer {
  private hasNewBuild = false;
  private readonly server: Server;
  private readonly port: number;

  constructor() {
    const app = express();
    app.get('/sw.js', (_request, response, next) => {
      if (!this.hasNewBuild) return next();
      response.type('js').send(readFileSync(`${dist}/sw.js`, 'utf8').replace(/junctura-\$\{"\w+"\}/, 'junctura-later'));
    });
    app.use(createApp({ dist }));
    this.server = app.listen(0);
    this.port = (this.server.address() as AddressInfo).port;
  }
  get address(): string {
    return `http://localhost:${this.port}`;
  }
  buildAnew(): void {
    this.hasNewBuild = true;
  }
  async stop(): Promise<void> {
    this.server.closeAllConnections();
    if (this.server.listening) await new Promise((resolve) => this.server.close(resolve));
  }
}

const test = base.extend<{ server: OwnServer }>({
  server: async ({ page: _ }, use) => {
    const server = new OwnServer();
    await use(server);
    await server.stop();
  },
});
test.use({ serviceWorkers: 'allow', viewport: { width: 390, height: 844 }, hasTouch: true });

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
  await page.getByRole('button', { name: 'Take it now' }).tap();
  await loaded;
  await expect.poll(() => page.evaluate(() => caches.keys())).toEqual(['junctura-later']);
  await expect(page.getByRole('heading', { name: 'Begin with a drawing' })).toBeVisible();
});
