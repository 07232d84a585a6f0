import type { Piece } from '@junctura/core/piece';
import { chromium } from '@playwright/test';
import { build } from 'esbuild';
import { fileURLToPath } from 'node:url';

/** Lines for the bench: painting the stitched view in a browser against plain strokes on the same canvas. */
export async function benchPainting(piece: Piece): Promise<string[]> {
  const bundle = await build({
    entryPoints: [fileURLToPath(new URL('./paintingInPage.ts', import.meta.url))],
    bundle: true,
    write: false,
    format: 'iife',
    target: 'es2022',
  });
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  const page = await browser.newPage();
  await page.addScriptTag({ content: bundle.outputFiles[0]!.text });
  const { stitches, ratio } = await page.evaluate(
    (given) =>
      (window as unknown as { paintingRatio(piece: Piece): { stitches: number; ratio: number } }).paintingRatio(given),
    piece,
  );
  await browser.close();
  return [`painting ${piece.name} (${stitches} stitches) / stroking as many plain segments: ${ratio.toFixed(1)}`];
}
