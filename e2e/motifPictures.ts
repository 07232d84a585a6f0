import { createCanvas, loadImage } from '@napi-rs/canvas';
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { runPlanWithPictures } from '../cli/src/runPlan.ts';

const MOTIFS = fileURLToPath(new URL('../demo/motifs/', import.meta.url));
const SIDE_PX = 240;
const QUALITY = 82;

/** The little pictures of the motifs in thread, beside their drawings, painted by the headless planner. */
export async function paintMotifs(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'motifs-'));
  for (const file of readdirSync(MOTIFS).filter((name) => name.endsWith('.svg'))) {
    const png = join(folder, 'motif.png');
    const outcome = await runPlanWithPictures([
      join(MOTIFS, file),
      '--hoop',
      '100',
      '--fit',
      '--picture',
      png,
      '--dpi',
      '150',
    ]);
    if (!outcome.ok) throw new Error(`${file}: ${outcome.problem}`);
    const image = await loadImage(readFileSync(png));
    const canvas = createCanvas(SIDE_PX, SIDE_PX);
    // What the hoop would hold, without the cloth about it.
    const cut = Math.min(image.width, image.height) * SHOWN;
    canvas
      .getContext('2d')
      .drawImage(image, (image.width - cut) / 2, (image.height - cut) / 2, cut, cut, 0, 0, SIDE_PX, SIDE_PX);
    writeFileSync(join(MOTIFS, file.replace(/svg$/, 'webp')), canvas.toBuffer('image/webp', QUALITY));
  }
}
/** How much of the picture is shown, as a share of its side. */
const SHOWN = 0.8;
