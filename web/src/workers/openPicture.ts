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
    return failure(PICTURE_DAMAGED);
  }
  const megapixels = Math.round((bitmap.width * bitmap.height) / 1e6);
  if (bitmap.width * bitmap.height > MOST_PIXELS) {
    return failure(say.tooManyMegapixels(megapixels));
  }
  return success(bitmap);
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
