import { Planner, tryFlat } from '@junctura/core/advice';
import type { Raster } from '@junctura/core/drawing';
import { readPiece, type Piece } from '@junctura/core/piece';
import { pictureBelow, type PaintingReport, type Pictures } from '@junctura/core/painting';
import { judgePainted, USUAL_FACTORS, type PlannedPart } from '@junctura/core/work';
import { Move } from '@junctura/core/stitches';
import { readFileSync } from 'node:fs';
import { beforeAll, describe, expect, it } from 'vitest';
import { createCanvas, loadImage } from '@napi-rs/canvas';
import { lieAt } from './catPicture.ts';

const PICTURE_PX = 900;

async function decoded(address: string): Promise<Raster> {
  const image = await loadImage(Buffer.from(address.split(',')[1]!, 'base64'));
  const brush = createCanvas(image.width, image.height).getContext('2d');
  brush.drawImage(image, 0, 0);
  return { width: image.width, height: image.height, rgba: brush.getImageData(0, 0, image.width, image.height).data };
}

describe('Harbour cat', () => {
  let piece: Piece;
  let cat: PlannedPart;
  let picture: Raster;
  let pictures: Pictures;
  let painted: PaintingReport;
  beforeAll(async () => {
    const read = readPiece(readFileSync(new URL('../pieces/harbour-cat.junctura.json', import.meta.url), 'utf8'));
    if (!read.ok) throw new Error(read.problem);
    piece = read.value;
    picture = await decoded(piece.drawing.underlay!.picture);
    pictures = new Map([[piece.drawing.underlay!.picture, picture]]);
    cat = new Planner().plan(piece, USUAL_FACTORS, { pictures }).plan.parts[0]!;
    painted = judgePainted(piece, cat, pictures)!;
  }, 120_000);

  it('comes as near to its picture as its shades allow, in patches that a person would work', () => {
    const { deltaE, floor, lonelyShare, bareShare } = painted;
    expect(deltaE.mean).toBeLessThanOrEqual(1.35 * floor.mean + 1);
    expect(lonelyShare).toBeLessThanOrEqual(0.05);
    expect(bareShare).toBeLessThan(0.005);
  });

  it('lies along the fur where the fur was drawn along a line', () => {
    const { path } = cat.passes[0]!;
    const { toPicture } = pictureBelow(piece, pictures)!;
    const [a, b, c, d, e, f] = toPicture;
    let [sum, count] = [0, 0];
    path.starts.forEach((start) => {
      const [x0, y0, x1, y1] = path.xy.subarray(2 * start, 2 * start + 4);
      const [x, y] = [(x0! + x1!) / 2, (y0! + y1!) / 2];
      const [u, v] = [(a * x + c * y + e) / PICTURE_PX, (b * x + d * y + f) / PICTURE_PX];
      // The breast: below the chin, away from every edge.
      if (v < 0.84 || v > 0.94 || Math.abs(u - 0.5) > 0.2 || path.codes[start] !== Move.up) return;
      const apart = Math.abs(Math.atan2(y1! - y0!, x1! - x0!) - lieAt(u, v)) % Math.PI;
      sum += (Math.min(apart, Math.PI - apart) * 180) / Math.PI;
      count++;
    });
    expect(count).toBeGreaterThan(200);
    expect(sum / count).toBeLessThan(12);
  });

  it('is nearer to its picture than flat regions in as many shades are', () => {
    const flat = tryFlat(piece, cat, cat.passes[0]!.shades.length, USUAL_FACTORS, pictures)!.way.report;
    expect(flat.bareShare).toBeLessThan(0.05);
    // The floor of these shades alone is at 0.68: seven tenths would leave next to nothing for stitches.
    expect(painted.deltaE.mean).toBeLessThanOrEqual(0.9 * flat.deltaE.mean);
  }, 120_000);
});
