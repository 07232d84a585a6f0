import {
  designCircle,
  isWhole,
  readPicture,
  settleInHoop,
  squaredUp,
  type PictureOptions,
  type Raster,
} from '@junctura/core/drawing';
import { failure, success, type Outcome } from '@junctura/core/measure';
import type { Underlay } from '@junctura/core/piece';
import { drawnSmall, openPicture, pixelsOf } from './openPicture.ts';
import type { OpenedPicture, PictureReply, PictureRequest } from './pictureMessages.ts';

/** The picture that is looked at, and that stays below the drawing, is no larger than this. */
const SHOWN_PX = 1200;

let picture: Raster | null = null;
let bitmap: ImageBitmap | null = null;

async function open(file: Blob): Promise<Outcome<OpenedPicture>> {
  const opened = await openPicture(file);
  if (!opened.ok) return opened;
  bitmap = opened.value;
  picture = pixelsOf(drawnSmall(bitmap, Infinity));
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
