import { hexOfLab, labOf, type Lab } from '@junctura/core/colour';
import type { PictureBelow, Raster } from '@junctura/core/drawing';
import { shrunk } from '@junctura/core/drawing';
import { laidWidthMm, threadKind } from '@junctura/core/materials';
import { seededRandom } from '@junctura/core/measure';
import { coarsePainting, paintingOf, type CoarsePainting } from '@junctura/core/painting';
import { workStitch } from '@junctura/core/stitches';
import { createCanvas, loadImage } from '@napi-rs/canvas';
import { paintCoarse } from '../../web/src/picture/paintCoarse.ts';
import { medianMs } from './median.ts';

const RADIUS_MM = 66;
const SHADES = 24;
const PX = 1500;
const ROUNDS = 5;
const HOOP_PX = 800;
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
  const laidMm = laidWidthMm(threadKind('stranded-cotton'), 1);
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
  // Broad strokes, as the page paints them until the stitches are worked.
  const canvas = createCanvas(HOOP_PX, HOOP_PX);
  const brush = canvas.getContext('2d') as unknown as CanvasRenderingContext2D;
  const view = { centreX: 0, centreY: 0, pxPerMm: HOOP_PX / (2 * RADIUS_MM) };
  const hexes = shades.map(({ l, a, b }) => hexOfLab(l, a, b));
  const size = { width: HOOP_PX, height: HOOP_PX };
  const still = below(0);
  const coarseOf = (): CoarsePainting => {
    stroke.points[0]! += 0.01;
    return coarsePainting(region, still, [{ ...stroke, points: stroke.points.slice() }], shades, laidMm)!;
  };
  const first = coarsePainting(region, still, [], shades, laidMm)!;
  const show = (painting: CoarsePainting): void => {
    paintCoarse(brush, painting, hexes, view, size);
    // What was asked for is done only when it is read.
    brush.getImageData(0, 0, 1, 1);
  };
  const frame = medianMs(() => show(first), ROUNDS);
  const toCoarse = medianMs(() => show(coarseOf()), ROUNDS);
  const large = jpegOf(furOf(LARGE.width / 4, LARGE.height / 4), LARGE);
  const times: { decoding: number; reducing: number }[] = [];
  for (let round = 0; round < 3; round++) times.push(await reduce(large));
  times.sort((a, b) => a.reducing / a.decoding - b.reducing / b.decoding);
  const { decoding, reducing } = times[1]!;
  return [
    `painting ${stitches} stitches in ${SHADES} shades / writing its rows without shades: ${(painted / rows).toFixed(2)} (${painted.toFixed(0)} and ${rows.toFixed(0)} ms)`,
    `a stroke that bends the lie / painting anew: ${(bent / painted).toFixed(2)} (${bent.toFixed(0)} ms)`,
    `a stroke to the first coarse picture / a frame of coarse painting: ${(toCoarse / frame).toFixed(2)} (${toCoarse.toFixed(0)} and ${frame.toFixed(0)} ms, ${first.shades.length} strokes)`,
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
