import { chromium } from '@playwright/test';
import { CHROMIUM } from '../../e2e/chromium.ts';
import { startServer } from '../../e2e/ownServer.ts';

/** What may come over the wire before the first picture, kB: for the page, and with its workers. */
const WANTED = { page: 350, all: 560 } as const;

/** Bytes from an empty cache until Rock Pool stands in its hoop, as the built application is served. Build it first. */
export async function benchBytes(): Promise<string[]> {
  const server = await startServer();
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage();
  const sizes: Promise<number>[] = [];
  let isPainted = false;
  page.context().on('requestfinished', (request) => {
    if (!isPainted) sizes.push(request.sizes().then(({ responseBodySize }) => responseBodySize / 1000));
  });
  await page.goto(`${server.address}/piece/demo-rock-pool/stitches`);
  await page.locator('.picture[data-painted]').waitFor();
  isPainted = true;
  // What the page itself asked for; its workers keep their own list.
  const own = await page.evaluate(() => {
    const entries = performance.getEntries() as (PerformanceEntry & { encodedBodySize?: number })[];
    return entries.reduce((sum, { encodedBodySize = 0 }) => sum + encodedBodySize, 0) / 1000;
  });
  const all = (await Promise.all(sizes)).reduce((sum, kB) => sum + kB, 0);
  await browser.close();
  await server.stop();
  return [
    `bytes before the first hoop picture, page / ${WANTED.page} kB: ${(own / WANTED.page).toFixed(2)} (${own.toFixed(0)} kB)`,
    `bytes before the first hoop picture, page and workers / ${WANTED.all} kB: ${(all / WANTED.all).toFixed(2)} (${all.toFixed(0)} kB)`,
  ];
}
