import { distanceToOutline, flattenPath, isInside, type Region } from '@junctura/core/geometry';
import { seededRandom } from '@junctura/core/measure';

/** A picture as a camera would give it: rows from the top, four bytes a pixel. */
export interface Photograph {
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8ClampedArray;
}

type Rgb = readonly [r: number, g: number, b: number];

/** So many pixels to either side of a place does a hair run. */
const HAIR_PX = 17;
const FUR: readonly Rgb[] = [
  [46, 34, 30],
  [104, 70, 46],
  [168, 116, 68],
  [214, 168, 112],
  [240, 218, 184],
];
const HARBOUR: readonly Rgb[] = [
  [38, 62, 84],
  [92, 128, 142],
  [176, 194, 190],
];
const EYE: Rgb = [122, 150, 62];
const NOSE: Rgb = [186, 112, 104];
const DARK: Rgb = [24, 20, 20];
const LIGHT: Rgb = [250, 250, 244];

/**
 * A tabby cat before a harbour in haze, drawn by rule: hair that runs outwards from the nose, stripes, two eyes with their lights. It stands in
 * for a photograph, and is nobody's cat.
 * @param size pixels to a side
 */
export function catPicture(size: number, seed = 5): Photograph {
  const noise = noiseOf(size, seed);
  const cat: Region = flattenPath(catOutline(), 0.001).map(({ points }) => points);
  const rgba = new Uint8ClampedArray(4 * size * size);
  for (let row = 0; row < size; row++) {
    for (let column = 0; column < size; column++) {
      const [x, y] = [(column + 0.5) / size, (row + 0.5) / size];
      const within = insideCat(cat, x, y, size);
      const colour = colourAt(x, y, within, hairAt(noise, size, column, row, lieAt(x, y)));
      rgba.set([...colour, 255], 4 * (row * size + column));
    }
  }
  return { width: size, height: size, rgba };
}

/** Half of the cat, from the middle of its brow by ear, cheek and shoulder to below, in shares of the picture. */
const HALF: readonly (readonly number[])[] = [
  [0.545, 0.292, 0.585, 0.3, 0.622, 0.322],
  [0.662, 0.25, 0.705, 0.18, 0.762, 0.138],
  [0.788, 0.222, 0.806, 0.31, 0.806, 0.402],
  [0.846, 0.462, 0.866, 0.54, 0.84, 0.616],
  [0.815, 0.69, 0.755, 0.73, 0.7, 0.756],
  [0.79, 0.81, 0.862, 0.885, 0.88, 0.985],
];
const BROW = [0.5, 0.292] as const;

/** The outline of the cat, as a path in shares of the picture. */
export function catOutline(): string {
  const round = (value: number): number => Math.round(value * 1e4) / 1e4;
  const right = HALF.map((curve) => `C${curve.join(' ')}`).join('');
  const ends = [BROW, ...HALF.map((curve) => curve.slice(4))];
  const left = HALF.map(([ax, ay, bx, by], i) => {
    const [x, y] = ends[i]!;
    return `C${[1 - bx!, by!, 1 - ax!, ay!, 1 - x!, y!].map(round).join(' ')}`;
  });
  const [lastX, lastY] = ends.at(-1)!;
  return `M${BROW.join(' ')}${right}L${round(1 - lastX!)} ${lastY}${left.reverse().join('')}Z`;
}

/** Whiskers, from their roots to their tips, as paths in shares of the picture. */
export const WHISKERS: readonly string[] = [-1, 1].flatMap((side) =>
  [-0.028, 0, 0.03].map((fall) => {
    const x = (away: number): string => (0.5 + side * away).toFixed(4);
    return `M${x(0.105)} ${(0.662 + fall * 0.4).toFixed(4)}Q${x(0.22)} ${(0.645 + fall).toFixed(4)} ${x(0.35)} ${(0.668 + 2.4 * fall).toFixed(4)}`;
  }),
);

/** Evenly grey noise, 0–1. */
function noiseOf(size: number, seed: number): Float32Array {
  const random = seededRandom(seed);
  return Float32Array.from({ length: size * size }, () => random.next());
}

/** Which way the hair lies: outwards from the nose, then down over the breast. */
export function lieAt(x: number, y: number): number {
  const [dx, dy] = [x - 0.5, y - 0.61];
  const down = Math.min(1, Math.max(0, (y - 0.72) / 0.12));
  const face = Math.atan2(dy, dx);
  const fall = Math.PI / 2 + 0.6 * (0.5 - x);
  return Math.atan2(
    Math.sin(face) * (1 - down) + Math.sin(fall) * down,
    Math.cos(face) * (1 - down) + Math.cos(fall) * down,
  );
}

/** The mean of the noise along the hair through a pixel, spread to 0–1 (line integral convolution; Cabral and Leedom 1993). */
function hairAt(noise: Float32Array, size: number, column: number, row: number, angle: number): number {
  const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
  let sum = 0;
  for (let k = -HAIR_PX; k <= HAIR_PX; k++) {
    const [x, y] = [Math.round(column + k * dx), Math.round(row + k * dy)];
    sum += noise[Math.min(size - 1, Math.max(0, y)) * size + Math.min(size - 1, Math.max(0, x))]!;
  }
  return Math.min(1, Math.max(0, 0.5 + (sum / (2 * HAIR_PX + 1) - 0.5) * 4.2));
}

function colourAt(x: number, y: number, cat: number, hair: number): Rgb {
  const back = along(HARBOUR, Math.min(1, Math.max(0, y * 1.1 + 0.06 * Math.sin(17 * y) * Math.sin(5 * x))));
  if (cat <= 0) return back;
  let fur = along(FUR, furTone(x, y) + (hair - 0.5) * 0.42);
  for (const side of [-1, 1]) {
    const [ex, ey] = [x - (0.5 + side * 0.142), y - 0.505];
    const eye = Math.hypot(ex / 0.07, (ey + side * ex * 0.22) / 0.05);
    if (eye < 1.16) fur = mix(DARK, fur, step(eye, 1, 1.16));
    if (eye < 1) fur = mix(mix([188, 196, 96], EYE, step(eye, 0.2, 0.9)), DARK, step(eye, 0.88, 1));
    const slit = Math.hypot(ex / 0.02, ey / 0.045);
    if (slit < 1.2) fur = mix(DARK, fur, step(slit, 0.85, 1.2));
    const glint = Math.hypot(ex + 0.02, ey + 0.018) / 0.013;
    if (glint < 1.2) fur = mix(LIGHT, fur, step(glint, 0.8, 1.2));
  }
  const nose = Math.abs(x - 0.5) / 0.046 + Math.abs(y - 0.612) / 0.03 + Math.max(0, y - 0.612) * 4;
  if (nose < 1.2) fur = mix(NOSE, fur, step(nose, 0.85, 1.2));
  // The mouth: a short stem below the nose, and a bow to either side.
  const across = Math.abs(x - 0.5);
  const bow = Math.abs(Math.hypot(across - 0.046, (y - 0.652) * 1.15) - 0.044);
  if ((across < 0.004 && y > 0.625 && y < 0.665) || (bow < 0.005 && y > 0.662 && across < 0.088))
    fur = mix(DARK, fur, 0.35);
  return mix(back, fur, Math.min(1, cat));
}

/** How light the fur is: stripes on the brow and cheeks, a pale muzzle and breast, the ears dark within. */
function furTone(x: number, y: number): number {
  const across = Math.abs(x - 0.5);
  const muzzle = Math.exp(-((across / 0.11) ** 2) - ((y - 0.672) / 0.068) ** 2);
  const breast = Math.exp(-((across / 0.16) ** 2)) * step(y, 0.74, 0.9);
  const brow = step(0.44 - y, 0, 0.05) * Math.sin(46 * across + 1) * 0.16;
  const cheek = step(across, 0.17, 0.24) * Math.sin(38 * (y + across)) * 0.15;
  const ear = step(0.32 - y, 0, 0.06) * step(across, 0.17, 0.2) * 0.22;
  return 0.47 + 0.42 * Math.max(muzzle, breast) + brow + cheek - ear - 0.12 * across;
}

/** 1 well inside the cat, 0 outside, with an edge two pixels soft. */
function insideCat(cat: Region, x: number, y: number, size: number): number {
  const away = distanceToOutline(cat, x, y) * size;
  return Math.min(1, Math.max(0, 0.5 + (isInside(cat, x, y) ? away : -away) / 2));
}

function step(value: number, from: number, to: number): number {
  const share = Math.min(1, Math.max(0, (value - from) / (to - from)));
  return share * share * (3 - 2 * share);
}

function mix(a: Rgb, b: Rgb, share: number): Rgb {
  return [0, 1, 2].map((k) => a[k]! + (b[k]! - a[k]!) * share) as unknown as Rgb;
}

/** A colour along a ladder, 0–1. */
function along(ladder: readonly Rgb[], share: number): Rgb {
  const at = Math.min(ladder.length - 1.001, Math.max(0, share * (ladder.length - 1)));
  return mix(ladder[Math.floor(at)]!, ladder[Math.floor(at) + 1]!, at % 1);
}
