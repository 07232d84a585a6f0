import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import type { SavingTimes } from './savingInPage.ts';
import { CHROMIUM } from '../../e2e/chromium.ts';
import { startServer } from '../../e2e/ownServer.ts';
import { scriptOf } from './inPage.ts';

/** A line for the bench: saving Rock Pool into the browser's storage against writing its text, in a browser. */
export async function benchSaving(): Promise<string[]> {
  const server = await startServer();
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage();
  await page.goto(`${server.address}/healthz`);
  await page.evaluate(await scriptOf('savingInPage.ts'));
  const { savingMs, writingMs, leastMs } = await page.evaluate(
    (text) => (window as unknown as { savingTimes(text: string): Promise<SavingTimes> }).savingTimes(text),
    readFileSync('demo/pieces/rock-pool.junctura.json', 'utf8'),
  );
  await browser.close();
  await server.stop();
  return [
    `saving Rock Pool / writing its text: ${(savingMs / writingMs).toFixed(2)}`,
    `saving Rock Pool / writing its text and keeping one number in the same storage: ${(savingMs / (writingMs + leastMs)).toFixed(2)}`,
  ];
}
