import {
  designCircle,
  isWhole,
  MOST_PIXELS,
  readPicture,
  settleInHoop,
  squaredUp,
  type PictureOptions,
  type Raster,
} from '@junctura/core/drawing';
import { failure, success, type Outcome } from '@junctura/core/measure';
import type { Underlay } from '@junctura/core/piece';
import type { OpenedPicture, PictureReply, PictureRequest } from './pictureMessages.ts';

/** The picture that is looked at, and that stays below the drawing, is no larger than this. */
const SHOWN_PX = 1200;

let picture: Raster | null = null;
let bitmap: ImageBitmap | null = null;

async function open(file: Blob): Promise<Outcome<OpenedPicture>> {
  try {
    // Turned as the camera says; of an animation the first picture.
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return failure('the picture is damaged, or of a kind that the browser cannot show. Save it as PNG, JPEG or WebP.');
  }
  const { width, height } = bitmap;
  if (width * height > MOST_PIXELS) {
    return failure(
      `the picture has ${Math.round((width * height) / 1e6)} megapixels; up to 40 are read. Make it smaller.`,
    );
  }
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0);
  picture = { width, height, rgba: context.getImageData(0, 0, width, height).data };
  return success({ width, height, preview: (await shown(bitmap)).blob });
}

/** The picture made small enough to be shown without a stop. */
async function shown(image: ImageBitmap): Promise<{ blob: Blob; widthPx: number; heightPx: number }> {
  const canvas = madeSmall(image);
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.8 });
  return { blob, widthPx: canvas.width, heightPx: canvas.height };
}

function madeSmall(image: ImageBitmap): OffscreenCanvas {
  const factor = Math.min(1, SHOWN_PX / Math.max(image.width, image.height));
  const [widthPx, heightPx] = [image.width, image.height].map((size) => Math.max(1, Math.round(size * factor))) as [
    number,
    number,
  ];
  const canvas = new OffscreenCanvas(widthPx, heightPx);
  canvas.getContext('2d')!.drawImage(image, 0, 0, widthPx, heightPx);
  return canvas;
}

/** A page between four corners as it is seen from above, made small. */
async function squaredSmall(image: ImageBitmap, corners: PictureOptions['corners']): Promise<ImageBitmap> {
  const canvas = madeSmall(image);
  const small = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
  const page = squaredUp({ width: small.width, height: small.height, rgba: small.data }, corners);
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

async function read({ ticket, options, id, name }: Extract<PictureRequest, { type: 'read' }>): Promise<PictureReply> {
  if (!picture || !bitmap) return { type: 'read', ticket, outcome: failure('There is no picture.') };
  const underlay = await underlayOf(bitmap, options.corners);
  const tell = (share: number): void => post({ type: 'progress', ticket, share });
  const outcome = readPicture(picture, options, underlay, id, name, tell);
  if (!outcome.ok) return { type: 'read', ticket, outcome };
  const circle = designCircle(outcome.value);
  return {
    type: 'read',
    ticket,
    outcome: circle && circle.r > 0 ? success(settleInHoop(outcome.value, circle)) : outcome,
  };
}

function post(reply: PictureReply): void {
  self.postMessage(reply);
}

self.onmessage = async ({ data }: MessageEvent<PictureRequest>) => {
  if (data.type === 'open') return post({ type: 'opened', outcome: await open(data.file) });
  try {
    post(await read(data));
  } catch (error) {
    const problem = `The picture could not be read: ${error instanceof Error ? error.message : String(error)}`;
    post({ type: 'read', ticket: data.ticket, outcome: failure(problem) });
  }
};
