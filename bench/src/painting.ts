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
    const { stitches, toPlain, finished, rough, moving, step, longestStep } = await page.evaluate(
      (given) => (window as unknown as { paintingTimes(piece: Piece): PaintingTimes }).paintingTimes(given),
      piece,
    );
    lines.push(
      `painting ${piece.name} (${stitches} stitches) / stroking as many plain segments: ${toPlain.toFixed(2)}`,
      `painting it finished, as a patch / painting it in its hoop: ${finished.toFixed(2)}`,
      `the first rough picture / painting it: ${rough.toFixed(2)}`,
      `a frame of moving or enlarging it / painting it: ${moving.toFixed(2)}`,
      `a step of the work on / painting it: ${step.toFixed(2)}, at most ${longestStep.toFixed(2)}`,
    );
  }
  await browser.close();
  return lines;
}
