import { failure, success, type Outcome } from '@junctura/core/measure';

/** A photograph is kept no longer than this along its longer side, px. */
const LONGEST_PX = 1600;
const QUALITY = 0.85;

/** A photograph as it is kept: turned as its camera says, and no larger than is looked at. */
export async function asKept(file: Blob): Promise<Outcome<Blob>> {
  let whole: ImageBitmap | undefined;
  try {
    whole = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const share = Math.min(1, LONGEST_PX / Math.max(whole.width, whole.height));
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [Math.round(whole.width * share), Math.round(whole.height * share)];
    const brush = canvas.getContext('2d')!;
    brush.imageSmoothingQuality = 'high';
    brush.drawImage(whole, 0, 0, canvas.width, canvas.height);
    const picture = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', QUALITY));
    return picture ? success(picture) : failure('There is not enough memory for this photograph.');
  } catch {
    return failure('This picture can’t be read. Use a PNG, JPEG or WebP.');
  } finally {
    whole?.close();
  }
}
