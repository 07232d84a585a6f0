import type { Piece } from '@junctura/core/piece';
import { chromium } from '@playwright/test';
import type { PaintingTimes } from './paintingInPage.ts';
import { CHROMIUM } from '../../e2e/chromium.ts';
import { scriptOf } from './inPage.ts';

/** Lines for the bench: painting stitched views in a browser against plain strokes on the same canvas, and moving them. */
export async function benchPainting(pieces: readonly Piece[]): Promise<string[]> {
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage();
  await page.addScriptTag({ content: await scriptOf('paintingInPage.ts') });
  const lines: string[] = [];
  for (const piece of pieces) {
    const { stitches, paintingMs, finishedMs, plainMs, movingMs, roughMs, stepMs, longestStepMs } = await page.evaluate(
      (given) => (window as unknown as { paintingTimes(piece: Piece): PaintingTimes }).paintingTimes(given),
      piece,
    );
    const ratio = (a: number, b: number): string => (a / b).toFixed(2);
    lines.push(
      `painting ${piece.name} (${stitches} stitches) / stroking as many plain segments: ${ratio(paintingMs, plainMs)}`,
      `painting it finished, as a patch / painting it in its hoop: ${ratio(finishedMs, paintingMs)}`,
      `the first rough picture / painting it: ${ratio(roughMs, paintingMs)}`,
      `a frame of moving or enlarging it / painting it: ${ratio(movingMs, paintingMs)}`,
      `a step of the work on / painting it: ${ratio(stepMs, paintingMs)}, at most ${ratio(longestStepMs, paintingMs)}`,
    );
  }
  await browser.close();
  return lines;
}
