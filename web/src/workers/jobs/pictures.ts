import { coloursOfPicture } from '@junctura/core/colour';
import {
  designCircle,
  isWhole,
  readPicture,
  settleInHoop,
  squaredUp,
  type PictureOptions,
  type Raster,
} from '@junctura/core/drawing';
import { success, type Outcome } from '@junctura/core/measure';
import type { Piece, Underlay } from '@junctura/core/piece';
import type { JobInput, OpenedPicture, PalettePicture } from '../jobs.ts';
import { drawnSmall, openPicture, pixelsOf } from '../openPicture.ts';

/** The picture that is looked at, and that stays below the drawing, is no larger than this; that of a palette a little less. */
const SHOWN_PX = 1200;
const PALETTE_PX = 720;

let opened: { readonly file: Blob; readonly bitmap: ImageBitmap; readonly raster: Raster } | null = null;

export async function open(file: Blob): Promise<Outcome<OpenedPicture>> {
  const outcome = await openPicture(file);
  if (!outcome.ok) return outcome;
  const bitmap = outcome.value;
  opened = { file, bitmap, raster: pixelsOf(drawnSmall(bitmap, Infinity)) };
  const { width, height } = bitmap;
  return success({ width, height, preview: (await shown(bitmap)).blob });
}

/** The picture made small enough to be shown without a stop. */
async function shown(image: ImageBitmap): Promise<{ blob: Blob; widthPx: number; heightPx: number }> {
  const canvas = drawnSmall(image, SHOWN_PX);
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.8 });
  return { blob, widthPx: canvas.width, heightPx: canvas.height };
}

/** A page between four corners as it is seen from above, made small. */
async function squaredSmall(image: ImageBitmap, corners: PictureOptions['corners']): Promise<ImageBitmap> {
  const canvas = drawnSmall(image, SHOWN_PX);
  const page = squaredUp(pixelsOf(canvas), corners);
  return createImageBitmap(new ImageData(new Uint8ClampedArray(page.rgba), page.width, page.height));
}

/** The picture that stays below the drawing: as it is, or the page in it squared up. */
async function underlayOf(
  image: ImageBitmap,
  corners: PictureOptions['corners'],
): Promise<Pick<Underlay, 'picture' | 'widthPx' | 'heightPx'>> {
  const { blob, ...size } = await shown(isWhole(corners) ? image : await squaredSmall(image, corners));
  const bytes = new Uint8Array(await blob.arrayBuffer());
  let text = '';
  for (let i = 0; i < bytes.length; i += 8192) text += String.fromCharCode(...bytes.subarray(i, i + 8192));
  return { picture: `data:image/jpeg;base64,${btoa(text)}`, ...size };
}

/** A worker that was replaced has no picture open: it is opened again. */
export async function read(
  { file, options, id, name }: JobInput<'readPicture'>,
  tell: (share: number) => void,
): Promise<Outcome<Piece>> {
  if (!opened) {
    const again = await open(file);
    if (!again.ok) return again;
  }
  const { bitmap, raster } = opened!;
  const underlay = await underlayOf(bitmap, options.corners);
  const outcome = readPicture(raster, options, underlay, id, name, tell);
  if (!outcome.ok) return outcome;
  const circle = designCircle(outcome.value);
  return circle && circle.r > 0 ? success(settleInHoop(outcome.value, circle)) : outcome;
}

export async function palette({ file, colours }: JobInput<'palette'>): Promise<Outcome<PalettePicture>> {
  const outcome = await openPicture(file);
  if (!outcome.ok) return outcome;
  const whole = pixelsOf(drawnSmall(outcome.value, Infinity));
  return success({
    colours: coloursOfPicture(whole, colours),
    small: pixelsOf(drawnSmall(outcome.value, PALETTE_PX)),
  });
}
