import { imageSize } from 'image-size';
import { MOST_PIXELS } from '@junctura/core/drawing';
import { failure, success, type Outcome } from '@junctura/core/measure';
import { blobOfAddress } from '../keeping/files.ts';
import * as say from './words.ts';
import { PICTURE_DAMAGED } from './words.ts';

/** Opens a picture in a worker: turned as the camera says; of an animation the first. */
export async function openPicture(file: Blob): Promise<Outcome<ImageBitmap>> {
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    const pixels = await statedPixels(file);
    return failure(pixels > MOST_PIXELS ? say.tooManyMegapixels(Math.round(pixels / 1e6)) : PICTURE_DAMAGED);
  }
  const pixels = bitmap.width * bitmap.height;
  return pixels > MOST_PIXELS ? failure(say.tooManyMegapixels(Math.round(pixels / 1e6))) : success(bitmap);
}

/** As much of a file as holds what a picture says of itself, bytes. */
const HEAD_BYTES = 512 * 1024;

/** The number of pixels that a picture says it has, also where no browser opens so many; 0: it does not say. */
export async function statedPixels(file: Blob): Promise<number> {
  try {
    const { width, height } = imageSize(new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer()));
    return width * height;
  } catch {
    return 0;
  }
}

/** A picture drawn no larger than a number of pixels along its longer side. */
export function drawnSmall(image: ImageBitmap, longestPx: number): OffscreenCanvas {
  const factor = Math.min(1, longestPx / Math.max(image.width, image.height));
  const [width, height] = [image.width, image.height].map((size) => Math.max(1, Math.round(size * factor)));
  const canvas = new OffscreenCanvas(width!, height!);
  canvas.getContext('2d', { willReadFrequently: true })!.drawImage(image, 0, 0, width!, height!);
  return canvas;
}

/** The pixels of a canvas, row by row. */
export function pixelsOf(canvas: OffscreenCanvas): {
  width: number;
  height: number;
  rgba: Uint8ClampedArray<ArrayBuffer>;
} {
  const { width, height } = canvas;
  return { width, height, rgba: canvas.getContext('2d')!.getImageData(0, 0, width, height).data };
}

/** The pixels of a picture that is kept as a data address, no more than a number of them along its longer side; null where it can't be read. */
export async function pixelsOfAddress(address: string, longestPx: number): Promise<ReturnType<typeof pixelsOf> | null> {
  const blob = blobOfAddress(address);
  const opened = blob && (await openPicture(blob));
  return opened?.ok ? pixelsOf(drawnSmall(opened.value, longestPx)) : null;
}
