import { USUAL_FACTORS } from '@junctura/core/work';
import { Planner, tryHoop } from '@junctura/core/advice';
import { readPicture, readSvg, WHOLE, type Raster } from '@junctura/core/drawing';
import { HOOP_SIZES_MM } from '@junctura/core/materials';
import { plainHoop, type Piece } from '@junctura/core/piece';
import quantize, { type RgbPixel } from 'quantize';
import { SaxesParser } from 'saxes';
import svgpath from 'svgpath';
import { medianRatio } from './median.ts';

const SHAPES = 2000;

/** A drawing of petals strewn over a page. Each drawing has figures of its own, so that nothing of it is known from another. */
function manyShapes(drawing: number): { svg: string; paths: string[] } {
  const paths = Array.from({ length: SHAPES }, (_, i) => {
    const [x, y] = [(i % 50) * 8 + drawing / 100, Math.floor(i / 50) * 8];
    return `M${x} ${y}c2 -${3 + (i % 4)} 5 -3 6 0s-2 ${4 + (i % 3)} -5 4z`;
  });
  const body = paths.map((path, i) => `<g><path d="${path}" fill="#${(i % 10) * 111111 || '000000'}"/></g>`).join('\n');
  return { svg: `<svg xmlns="http://www.w3.org/2000/svg" width="400mm" viewBox="0 0 400 400">${body}</svg>`, paths };
}

/** A path flattened by the path library alone: absolute, without arcs, each curve in eight pieces. */
function plainlyFlattened(data: string): number {
  const points: number[] = [];
  svgpath(data)
    .abs()
    .unshort()
    .unarc()
    .iterate(([command, ...args], _index, x, y) => {
      const numbers = args as unknown as number[];
      if (command !== 'C') points.push(...numbers);
      else
        for (let i = 1; i <= 8; i++) {
          const [t, s] = [i / 8, 1 - i / 8];
          for (const k of [0, 1]) {
            const from = k === 0 ? x : y;
            points.push(
              s * s * s * from +
                3 * s * s * t * numbers[k]! +
                3 * s * t * t * numbers[2 + k]! +
                t * t * t * numbers[4 + k]!,
            );
          }
        }
    });
  return Float64Array.from(points).length;
}

/** Reading a drawing of 2,000 shapes against a plain parse of its text and the flattening of its paths. */
export function benchReading(): string[] {
  let sink = 0;
  const waiting = Array.from({ length: 12 }, (_, i) => manyShapes(i));
  let taken = waiting[0]!;
  const read = (): void => {
    taken = waiting.pop()!;
    const outcome = readSvg(taken.svg, 'x', 'x');
    sink += outcome.ok ? outcome.value.drawing.parts.length : 0;
  };
  const plain = (): void => {
    const parser = new SaxesParser();
    parser.on('opentag', () => sink++);
    parser.write(taken.svg).close();
    for (const path of taken.paths) sink += plainlyFlattened(path);
  };
  const ratio = medianRatio(read, plain);
  if (sink < SHAPES) throw new Error('the drawing was not read');
  return [`reading an SVG of ${SHAPES} shapes / plain parse and flattening: ${ratio.toFixed(2)}`];
}

const CORES = 2;

/** Eight hoop sizes side by side, shared out among two cores as the workers share them, against one full plan. */
export function benchTrials(piece: Piece): string[] {
  let sink = 0;
  const all = (): void => {
    for (let core = 0; core < CORES; core++) {
      const planner = new Planner();
      for (let i = core; i < HOOP_SIZES_MM.length; i += CORES) {
        sink += tryHoop(piece, plainHoop(HOOP_SIZES_MM[i]!, 12), planner, USUAL_FACTORS).trial.stitches;
      }
    }
  };
  const one = (): void => {
    sink += new Planner().plan(piece, USUAL_FACTORS).plan.totals.stitches;
  };
  const ratio = medianRatio(all, one) / CORES;
  if (sink === 0) throw new Error('nothing was planned');
  return [`eight hoop sizes of ${piece.name} on each of ${CORES} cores / one full plan: ${ratio.toFixed(2)}`];
}

/** A photograph of 12 megapixels, made by waves of colour with noise. */
export function photograph(): Raster {
  const [width, height] = [4000, 3000];
  const rgba = new Uint8ClampedArray(width * height * 4).fill(255);
  for (let i = 0; i < width * height; i++) {
    const [x, y] = [i % width, Math.floor(i / width)];
    const wave = Math.sin(x / 300) + Math.cos(y / 220) + Math.sin((x + y) / 500);
    const noise = ((i * 2654435761) % 1000) / 50;
    rgba[4 * i] = 128 + 60 * wave + noise;
    rgba[4 * i + 1] = 100 + 50 * Math.sin(x / 400 + wave) + noise;
    rgba[4 * i + 2] = 140 + 60 * Math.cos(wave * 2) + noise;
  }
  return { width, height, rgba };
}

/** Pixels that are quantised for the yardstick are every so manieth; its time grows with their number. */
const EVERY = 8;

/** A photograph to parts in twelve colours, against three quantisations of all its pixels by a median-cut package. */
export function benchPicture(): string[] {
  const picture = photograph();
  const start = performance.now();
  const outcome = readPicture(
    picture,
    {
      as: 'colours',
      corners: WHOLE,
      widthMm: 150,
      colours: 12,
      leastMm2: 4,
      smoothMm: 0.3,
      darkness: 0.5,
      leavesGround: false,
    },
    null,
    'x',
    'x',
  );
  const ours = performance.now() - start;
  if (!outcome.ok) throw new Error(outcome.problem);
  const pixels: RgbPixel[] = [];
  for (let i = 0; i < picture.rgba.length; i += 4 * EVERY) {
    pixels.push([picture.rgba[i]!, picture.rgba[i + 1]!, picture.rgba[i + 2]!]);
  }
  const began = performance.now();
  const palette = quantize(pixels, 12);
  if (!palette) throw new Error('nothing was quantised');
  const full = (performance.now() - began) * EVERY;
  const parts = outcome.value.drawing.parts.length;
  return [
    `a photograph of 12 megapixels to ${parts} parts in 12 colours / three full quantisations: ${(ours / (3 * full)).toFixed(2)}`,
  ];
}
