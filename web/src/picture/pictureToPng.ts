import { pictureCircle } from '@junctura/core/paper';
import type { Piece } from '@junctura/core/piece';
import type { Workings } from '@junctura/core/advice';
import type { Brush } from './brush.ts';
import { paintPicture, type Side } from './paintPicture.ts';
import { sceneOf } from './scene.ts';
import { paintShown, viewOfAll, type Showing } from './shownPiece.ts';
import type { Size, View } from './view.ts';

const PICTURE_DPI = 300;
const MM_PER_INCH = 25.4;
/** No browser paints larger squares than this, px. */
const MOST_PX = 12_000;
/** The painter lets others have their turn after this long, ms. */
const SLICE_MS = 30;

/**
 * The stitched picture as PNG, at true size when printed: 300 dots to the inch, told in the file.
 * @param going asked between slices with the share that is done; painting stops when it answers no
 */
export function pictureToPng(
  piece: Piece,
  workings: Workings,
  side: Side,
  going: (share: number) => boolean,
): Promise<Uint8Array | null> {
  const { r: reachMm } = pictureCircle(piece, workings.plan);
  return paintedPng(piece, workings, side, Math.min(PICTURE_DPI / MM_PER_INCH, MOST_PX / (2 * reachMm)), going);
}

/** The picture as it is shown to others, with its ring, on its cloth or without either, transparent then; at true size. */
export async function shownPng(
  piece: Piece,
  workings: Workings,
  showing: Showing,
  going: (share: number) => boolean,
): Promise<Uint8Array | null> {
  const atOnePx = viewOfAll(piece, workings, 1, showing);
  const pixels = Math.min(MOST_PX, Math.round(PICTURE_DPI / MM_PER_INCH / atOnePx.pxPerMm));
  const view = viewOfAll(piece, workings, pixels, showing);
  const size = { width: pixels, height: pixels };
  const paint = (brush: Brush): Generator<void> => paintShown(brush, piece, workings, view, size, showing);
  return pngOf(workings, view, size, paint, going);
}

/** The picture in a guide is this large, px. */
const GUIDE_PX = 1100;

/** The stitched front as it stands in a guide. */
export function guidePicture(
  piece: Piece,
  workings: Workings,
  going: (share: number) => boolean,
): Promise<Uint8Array | null> {
  const { r: reachMm } = pictureCircle(piece, workings.plan);
  return paintedPng(piece, workings, 'front', GUIDE_PX / (2 * reachMm), going);
}

async function paintedPng(
  piece: Piece,
  workings: Workings,
  side: Side,
  pxPerMm: number,
  going: (share: number) => boolean,
): Promise<Uint8Array | null> {
  const { x, y, r: reachMm } = pictureCircle(piece, workings.plan);
  const pixels = Math.round(2 * reachMm * pxPerMm);
  const view = { centreX: side === 'back' ? -x : x, centreY: y, pxPerMm };
  const size = { width: pixels, height: pixels };
  const paint = (brush: Brush): Generator<void> => paintPicture(brush, sceneOf(piece, workings), view, size, side);
  return pngOf(workings, view, size, paint, going);
}

/** What is painted as PNG, at true size when printed; null where it was stopped. */
async function pngOf(
  { plan }: Workings,
  { pxPerMm }: View,
  { width, height }: Size,
  paint: (brush: Brush) => Generator<void>,
  going: (share: number) => boolean,
): Promise<Uint8Array | null> {
  const canvas = new OffscreenCanvas(width, height);
  const threads = plan.parts.flatMap(({ passes }) => passes.flatMap((pass) => pass.threads));
  const slices = threads.reduce((sum, { path }) => sum + 1 + path.codes.length / 400, 1);
  if (!(await paintedToTheEnd(paint(canvas.getContext('2d')!), slices, going))) return null;
  const blob = await canvas.convertToBlob({ type: 'image/png' });
  return withDensity(new Uint8Array(await blob.arrayBuffer()), Math.round(pxPerMm * 1000));
}

/** Paints slice by slice; false where it was stopped. @param slices about how many there are */
export async function paintedToTheEnd(
  strokes: Generator<void>,
  slices: number,
  going: (share: number) => boolean,
): Promise<boolean> {
  let done = 0;
  for (let until = performance.now() + SLICE_MS; !strokes.next().done; done++) {
    if (performance.now() < until) continue;
    if (!going(Math.min(1, done / slices))) return false;
    await new Promise((resolve) => setTimeout(resolve));
    until = performance.now() + SLICE_MS;
  }
  return true;
}

const SIGNATURE_AND_HEADER = 33;

/** A PNG with a pHYs chunk after its header (PNG specification, 11.3.4.3): pixels per metre, so that it prints at true size. */
function withDensity(png: Uint8Array, perMetre: number): Uint8Array {
  const chunk = new Uint8Array(21);
  const view = new DataView(chunk.buffer);
  view.setUint32(0, 9);
  chunk.set([0x70, 0x48, 0x59, 0x73], 4);
  view.setUint32(8, perMetre);
  view.setUint32(12, perMetre);
  chunk[16] = 1;
  view.setUint32(17, crc32(chunk.subarray(4, 17)));
  const out = new Uint8Array(png.length + chunk.length);
  out.set(png.subarray(0, SIGNATURE_AND_HEADER));
  out.set(chunk, SIGNATURE_AND_HEADER);
  out.set(png.subarray(SIGNATURE_AND_HEADER), SIGNATURE_AND_HEADER + chunk.length);
  return out;
}

/** The checksum of PNG chunks (ISO 3309), bit by bit: a chunk is short. */
function crc32(bytes: Uint8Array): number {
  let crc = 0xffffffff;
  for (const byte of bytes) {
    crc ^= byte;
    for (let k = 0; k < 8; k++) crc = crc & 1 ? (crc >>> 1) ^ 0xedb88320 : crc >>> 1;
  }
  return (crc ^ 0xffffffff) >>> 0;
}
