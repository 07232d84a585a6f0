import type { Piece } from '@junctura/core/piece';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { CHROMIUM } from '../../e2e/chromium.ts';
import { startServer } from '../../e2e/ownServer.ts';
import { scriptOf } from './inPage.ts';
import { median } from './median.ts';
import type { PaintingTimes } from './paintingInPage.ts';

const PHONE = { viewport: { width: 390, height: 844 }, reducedMotion: 'reduce' as const };
/** The hoop's half of a phone. */
const PICTURE = { width: 390, height: 400 };
const PATH = '/hoop/demo-rock-pool';
/** What may come over the wire before a step can be read, kB. */
const WANTED_KB = 300;
const TAPS = 15;
const OPENINGS = 5;

/** Lines for the bench: what a phone waits for at the hoop. The application is built first. */
export async function benchPhone(piece: Piece): Promise<string[]> {
  const server = await startServer();
  const { address } = server;
  const browser = await chromium.launch(CHROMIUM);
  const own = await browser.newContext({ ...PHONE, serviceWorkers: 'block' });
  const [bytes, pageBytes] = await bytesBefore(own, address);
  const { tapMs, plans } = await taps(own.pages()[0]!);
  const frameMs = await paintedFrame(await own.newPage(), piece);
  const keeping = await browser.newContext({ ...PHONE, serviceWorkers: 'allow' });
  const page = await keeping.newPage();
  await page.goto(address + PATH);
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  const withServer = await openings(page);
  await server.stop();
  const without = await openings(page);
  await browser.close();
  return [
    `a tap to the next step shown / one frame of the painter at phone size: ${(tapMs / frameMs).toFixed(2)} (${plans} plans)`,
    `opening at the hoop with the server gone / with it: ${(without / withServer).toFixed(2)}`,
    `bytes before a step can be read on a phone, page / ${WANTED_KB} kB: ${(pageBytes / WANTED_KB).toFixed(2)} (${pageBytes.toFixed(0)} kB; ${bytes.toFixed(0)} kB with workers)`,
  ];
}

/** Kilobytes from an empty cache until the first step can be read: all of them, and the page's own. */
async function bytesBefore(context: BrowserContext, address: string): Promise<[all: number, page: number]> {
  const sizes: Promise<number>[] = [];
  let isRead = false;
  context.on('requestfinished', (request) => {
    if (!isRead) sizes.push(request.sizes().then(({ responseBodySize }) => responseBodySize / 1000));
  });
  const page = await context.newPage();
  await page.goto(address + PATH);
  await page.locator('[data-test=begin]').click();
  await page.locator('[data-test=present]').waitFor();
  isRead = true;
  const own = await page.evaluate(() => {
    const entries = performance.getEntries() as (PerformanceEntry & { encodedBodySize?: number })[];
    return entries.reduce((sum, { encodedBodySize = 0 }) => sum + encodedBodySize, 0) / 1000;
  });
  return [(await Promise.all(sizes)).reduce((sum, kB) => sum + kB, 0), own];
}

/** From a tap until the next step stands in the page's next frame, ms; and how many plans were asked for meanwhile. */
async function taps(page: Page): Promise<{ tapMs: number; plans: number }> {
  const { times, plans } = await page.evaluate(async (count) => {
    let asked = 0;
    const { postMessage } = Worker.prototype;
    Worker.prototype.postMessage = function (this: Worker, message: { name?: string }, ...rest: []) {
      if (message.name === 'plan') asked++;
      return postMessage.call(this, message, ...rest);
    };
    const find = (name: string): HTMLElement => document.querySelector<HTMLElement>(`[data-test=${name}]`)!;
    const all: number[] = [];
    for (let i = 0; i < count; i++) {
      const before = find('done').innerText;
      const begun = performance.now();
      find('done').click();
      while (find('done').innerText === before) await new Promise((next) => setTimeout(next, 0));
      await new Promise(requestAnimationFrame);
      all.push(performance.now() - begun);
      // What is painted of the step that was done is not the next tap's.
      await new Promise((next) => setTimeout(next, 400));
    }
    return { times: all, plans: asked };
  }, TAPS);
  return { tapMs: median(times), plans };
}

/** How long all of the piece takes to paint at the size of a phone, ms. */
async function paintedFrame(page: Page, piece: Piece): Promise<number> {
  await page.addScriptTag({ content: await scriptOf('paintingInPage.ts') });
  const { paintingMs } = await page.evaluate(
    ([given, size]) =>
      (
        window as unknown as { paintingTimes(piece: Piece, size: { width: number; height: number }): PaintingTimes }
      ).paintingTimes(given, size),
    [piece, PICTURE] as const,
  );
  return paintingMs;
}

/** From opening the page until the first step stands there, ms. */
async function openings(page: Page): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < OPENINGS; i++) {
    const begun = performance.now();
    await page.reload();
    await page.locator('[data-test=begin]').waitFor();
    times.push(performance.now() - begun);
  }
  return median(times);
}
