import { labOf, type Lab } from '@junctura/core/colour';
import type { PictureBelow, Raster } from '@junctura/core/drawing';
import { shrunk } from '@junctura/core/drawing';
import { laidWidthMm, threadKind } from '@junctura/core/materials';
import { seededRandom } from '@junctura/core/measure';
import { paintingOf } from '@junctura/core/painting';
import { workStitch } from '@junctura/core/stitches';
import { createCanvas, loadImage } from '@napi-rs/canvas';
import { medianMs } from './median.ts';

const RADIUS_MM = 66;
const SHADES = 24;
const PX = 1500;
const ROUNDS = 5;
const LARGE = { width: 8000, height: 5000 } as const;
const REDUCED_PX = 2400;

/** Lines for the bench: painting with the needle from a picture. */
export async function benchNeedlePainting(): Promise<string[]> {
  const picture = furOf(PX, PX);
  const pxPerMm = PX / (2 * RADIUS_MM);
  const below = (shift: number): PictureBelow => ({
    picture,
    toPicture: [pxPerMm, 0, 0, pxPerMm, PX / 2 + shift, PX / 2],
  });
  const region = [
    Float64Array.from(
      { length: 144 },
      (_, i) => RADIUS_MM * (i % 2 ? Math.sin : Math.cos)((2 * Math.PI * (i >> 1)) / 72),
    ),
  ];
  const laidMm = laidWidthMm(threadKind('stranded-cotton')!, 1);
  const shades: Lab[] = Array.from({ length: SHADES }, (_, k) =>
    labOf(`#${(20 + 9 * k).toString(16).padStart(2, '0').repeat(3)}`),
  );
  const shape = { region, lines: [], spots: new Float64Array(0) };
  const base = { laidMm, bundleMm: laidMm, coreMm: 0.6, angleRad: 0, seed: 1, heightMm: 0.2 };
  let shift = 0;
  let stitches = 0;
  const painted = medianMs(() => {
    const { field, guide } = paintingOf(region, below((shift += 0.01)), [], shades, laidMm)!;
    stitches = workStitch('needle-painting', shape, {}, { ...base, field, picture: guide }).starts.length;
  }, ROUNDS);
  const { field } = paintingOf(region, below(0), [], shades, laidMm)!;
  const rows = medianMs(() => workStitch('needle-painting', shape, {}, { ...base, field }), ROUNDS);
  const stroke = { points: Float64Array.of(-20, 0, 20, 5), closed: false };
  const bent = medianMs(() => {
    stroke.points[0]! += 0.01;
    paintingOf(region, below(0), [{ ...stroke, points: stroke.points.slice() }], shades, laidMm);
  }, ROUNDS);
  const large = jpegOf(furOf(LARGE.width / 4, LARGE.height / 4), LARGE);
  const times: { decoding: number; reducing: number }[] = [];
  for (let round = 0; round < 3; round++) times.push(await reduce(large));
  times.sort((a, b) => a.reducing / a.decoding - b.reducing / b.decoding);
  const { decoding, reducing } = times[1]!;
  return [
    `painting ${stitches} stitches in ${SHADES} shades / writing its rows without shades: ${(painted / rows).toFixed(2)} (${painted.toFixed(0)} and ${rows.toFixed(0)} ms)`,
    `a stroke that bends the lie / painting anew: ${(bent / painted).toFixed(2)} (${bent.toFixed(0)} ms)`,
    `40 megapixels reduced / decoded: ${(reducing / decoding).toFixed(2)} (${reducing.toFixed(0)} and ${decoding.toFixed(0)} ms)`,
  ];
}

/** Grey fur that runs outwards. */
function furOf(width: number, height: number): Raster {
  const random = seededRandom(3);
  const rgba = new Uint8ClampedArray(4 * width * height);
  for (let i = 0; i < width * height; i++) {
    const [x, y] = [(i % width) - width / 2, Math.floor(i / width) - height / 2];
    const light =
      128 + 50 * Math.sin(60 * Math.atan2(y, x)) + 50 * Math.sin(Math.hypot(x, y) / 90) + random.between(-8, 8);
    rgba.set([light, light, light, 255], 4 * i);
  }
  return { width, height, rgba };
}

function jpegOf({ width, height, rgba }: Raster, size: { width: number; height: number }): Buffer {
  const small = createCanvas(width, height);
  const data = small.getContext('2d').createImageData(width, height);
  data.data.set(rgba);
  small.getContext('2d').putImageData(data, 0, 0);
  const canvas = createCanvas(size.width, size.height);
  canvas.getContext('2d').drawImage(small, 0, 0, size.width, size.height);
  return canvas.toBuffer('image/jpeg', 90);
}

async function reduce(file: Buffer): Promise<{ decoding: number; reducing: number }> {
  const begin = performance.now();
  const image = await loadImage(file);
  const canvas = createCanvas(image.width, image.height);
  canvas.getContext('2d').drawImage(image, 0, 0);
  const { data } = canvas.getContext('2d').getImageData(0, 0, image.width, image.height);
  const between = performance.now();
  shrunk({ width: image.width, height: image.height, rgba: data }, REDUCED_PX);
  return { decoding: between - begin, reducing: performance.now() - between };
}
