import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { createApp } from '../../server/src/app.ts';
import type { SavingTimes } from './savingInPage.ts';
import { CHROMIUM } from '../../e2e/chromium.ts';
import { scriptOf } from './inPage.ts';

/** A line for the bench: saving Rock Pool into the browser's storage against writing its text, in a browser. */
export async function benchSaving(): Promise<string[]> {
  const server = createApp({ dist: resolve('web/dist') }).listen(0);
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage();
  await page.goto(`http://localhost:${(server.address() as AddressInfo).port}/healthz`);
  await page.evaluate(await scriptOf('savingInPage.ts'));
  const { savingMs, writingMs, leastMs } = await page.evaluate(
    (text) => (window as unknown as { savingTimes(text: string): Promise<SavingTimes> }).savingTimes(text),
    readFileSync('demo/pieces/rock-pool.junctura.json', 'utf8'),
  );
  await browser.close();
  server.close();
  return [
    `saving Rock Pool / writing its text: ${(savingMs / writingMs).toFixed(2)}`,
    `saving Rock Pool / writing its text and keeping one number in the same storage: ${(savingMs / (writingMs + leastMs)).toFixed(2)}`,
  ];
}
