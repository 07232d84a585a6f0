import { readFileSync, writeFileSync } from 'node:fs';
import type * as NodeCanvas from '@napi-rs/canvas';
import type { Workings } from '@junctura/core/advice';
import { MOST_PIXELS, shrunk, type Raster } from '@junctura/core/drawing';
import { failure, success, type Outcome } from '@junctura/core/measure';
import { pictureCircle } from '@junctura/core/paper';
import { NO_PICTURES, type Pictures } from '@junctura/core/painting';
import { isPainted, type Piece } from '@junctura/core/piece';
import type { Brush } from '../../web/src/picture/brush.ts';
import { paintPicture } from '../../web/src/picture/paintPicture.ts';
import { sceneOf } from '../../web/src/picture/scene.ts';
import type { PictureOptions } from './options.ts';
import * as say from './words.ts';

type Canvas = typeof NodeCanvas;

/** More than this along the longer side no hoop piece can show, px. */
const LONGEST_PX = 2400;
const MM_PER_INCH = 25.4;
/** No canvas is larger, px to a side. */
const MOST_PX = 16_000;

/** What paints and reads pictures without a browser: not everybody installs it. */
async function canvas(): Promise<Outcome<Canvas>> {
  try {
    return success(await import('@napi-rs/canvas'));
  } catch {
    return failure('pictures need the optional package @napi-rs/canvas: npm install @napi-rs/canvas');
  }
}

/** How files of the kinds that are read begin: at a place, with these bytes. */
const SIGNATURES: readonly (readonly [at: number, mark: Buffer])[] = [
  [0, Buffer.from([0x89, 0x50, 0x4e, 0x47])],
  [0, Buffer.from([0xff, 0xd8, 0xff])],
  [8, Buffer.from('WEBP')],
];

/** The pixels of a PNG, JPEG or WebP file, no finer than stitches can show. */
export async function decodePicture(file: string): Promise<Outcome<Raster>> {
  try {
    return await decoded(readFileSync(file), file);
  } catch {
    return failure(say.noPicture(file));
  }
}

/** The picture below a piece, decoded, where something is painted from it: the planner cannot. */
export async function ownPictures(piece: Piece): Promise<Outcome<Pictures>> {
  const { underlay } = piece.drawing;
  if (!underlay || !isPainted(piece.drawing)) return success(NO_PICTURES);
  const bytes = Buffer.from(underlay.picture.slice(underlay.picture.indexOf(',') + 1), 'base64');
  const picture = await decoded(bytes, 'the picture below the drawing');
  return picture.ok ? success(new Map([[underlay.picture, picture.value]])) : picture;
}

async function decoded(bytes: Buffer, name: string): Promise<Outcome<Raster>> {
  const refused = failure(say.badPicture(name));
  if (!SIGNATURES.some(([at, mark]) => bytes.subarray(at, at + mark.length).equals(mark))) return refused;
  const found = await canvas();
  if (!found.ok) return found;
  const { createCanvas, loadImage } = found.value;
  try {
    const image = await loadImage(bytes);
    const { width, height } = image;
    if (width * height > MOST_PIXELS) return failure(say.tooManyMegapixels(name, MOST_PIXELS / 1e6));
    const brush = createCanvas(width, height).getContext('2d');
    brush.drawImage(image, 0, 0);
    const raster = { width, height, rgba: brush.getImageData(0, 0, width, height).data };
    return success(Math.max(width, height) > LONGEST_PX ? shrunk(raster, LONGEST_PX) : raster);
  } catch {
    return refused;
  }
}

/** The stitched picture of a plan as a PNG, by the painter of the application, at true size. */
export async function pictureBytes(
  { dpi, side }: Pick<PictureOptions, 'dpi' | 'side'>,
  piece: Piece,
  workings: Workings,
): Promise<Outcome<Uint8Array>> {
  const found = await canvas();
  if (!found.ok) return found;
  const { createCanvas, DOMMatrix, Path2D } = found.value;
  // The painter makes its own sheets and paths, as in a browser.
  Object.assign(globalThis, { OffscreenCanvas: createCanvas, DOMMatrix, Path2D });
  const { x, y, r: reachMm } = pictureCircle(piece, workings.plan);
  const pxPerMm = Math.min(dpi / MM_PER_INCH, MOST_PX / (2 * reachMm));
  const pixels = Math.max(1, Math.round(2 * reachMm * pxPerMm));
  const sheet = createCanvas(pixels, pixels);
  const brush = sheet.getContext('2d') as unknown as Brush;
  const view = { centreX: side === 'back' ? -x : x, centreY: y, pxPerMm };
  const scene = sceneOf(piece, workings);
  for (const _ of paintPicture(brush, scene, view, { width: pixels, height: pixels }, side));
  return success(sheet.toBuffer('image/png'));
}

/** Writes what was made to a file. */
export function written(file: string, content: string | Uint8Array): Outcome<null> {
  try {
    writeFileSync(file, content);
    return success(null);
  } catch (error) {
    return failure(say.cannotWrite(file, (error as NodeJS.ErrnoException).code ?? 'unknown'));
  }
}
