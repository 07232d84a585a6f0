import { readFileSync } from 'node:fs';
import type { Piece } from '@junctura/core/piece';
import { chromium, type Browser } from '@playwright/test';
import { CHROMIUM } from '../../e2e/chromium.ts';
import { scriptOf } from './inPage.ts';

/** Screens by their pixels, and what the painter may take there, MB. */
const SCREENS = [
  { name: 'a phone of 390 px, three dots to each', size: { width: 1170, height: 1200 }, wantedMb: 150 },
  { name: 'a screen of 3840 by 2160', size: { width: 3840, height: 2160 }, wantedMb: 400 },
] as const;

interface PainterPage {
  prepare(piece: Piece): void;
  paint(size: { width: number; height: number }): void;
}

/** Lines for the bench: what the painter takes of memory in a browser, the growing picture with all that it keeps included. */
export async function benchPictureMemory(piece: Piece): Promise<string[]> {
  const script = await scriptOf('pictureMemoryInPage.ts');
  const lines: string[] = [];
  for (const { name, size, wantedMb } of SCREENS) {
    const browser = await chromium.launch(CHROMIUM);
    const page = await browser.newPage();
    await page.addScriptTag({ content: script });
    await page.evaluate((given) => (window as unknown as PainterPage).prepare(given), piece);
    const before = await takenMb(browser);
    await page.evaluate((given) => (window as unknown as PainterPage).paint(given), size);
    const taken = (await takenMb(browser)) - before;
    lines.push(
      `memory of the painter on ${name} / ${wantedMb} MB: ${(taken / wantedMb).toFixed(2)} (${taken.toFixed(0)} MB)`,
    );
    await browser.close();
  }
  return lines;
}

/** What a browser takes, shared pages by their share, MB. */
async function takenMb(browser: Browser): Promise<number> {
  const devtools = await browser.newBrowserCDPSession();
  const { processInfo } = await devtools.send('SystemInfo.getProcessInfo');
  await devtools.detach();
  return processInfo.reduce((sum, { id }) => {
    const kB = /^Pss:\s+(\d+) kB/m.exec(readFileSync(`/proc/${id}/smaps_rollup`, 'utf8'))?.[1];
    return sum + Number(kB ?? 0) / 1000;
  }, 0);
}
