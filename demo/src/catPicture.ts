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
  const rgba = new Uint8ClampedArray(4 * size * size);
  for (let row = 0; row < size; row++) {
    for (let column = 0; column < size; column++) {
      const [x, y] = [(column + 0.5) / size, (row + 0.5) / size];
      const colour = colourAt(x, y, hairAt(noise, size, column, row, lieAt(x, y)));
      rgba.set([...colour, 255], 4 * (row * size + column));
    }
  }
  return { width: size, height: size, rgba };
}

/** The outline of the cat in shares of the picture, as a path. */
export const CAT_OUTLINE =
  'M0.5 0.27C0.56 0.27 0.62 0.28 0.66 0.3L0.8 0.12L0.84 0.42C0.88 0.52 0.86 0.62 0.8 0.7C0.86 0.8 0.9 0.92 0.9 0.98L0.1 0.98' +
  'C0.1 0.92 0.14 0.8 0.2 0.7C0.14 0.62 0.12 0.52 0.16 0.42L0.2 0.12L0.34 0.3C0.38 0.28 0.44 0.27 0.5 0.27Z';

/** Evenly grey noise, 0–1. */
function noiseOf(size: number, seed: number): Float32Array {
  const random = seededRandom(seed);
  return Float32Array.from({ length: size * size }, () => random.next());
}

/** Which way the hair lies: outwards from the nose, then down over the breast. */
export function lieAt(x: number, y: number): number {
  const [dx, dy] = [x - 0.5, y - 0.6];
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

function colourAt(x: number, y: number, hair: number): Rgb {
  const cat = insideCat(x, y);
  const back = along(HARBOUR, Math.min(1, Math.max(0, y * 1.1 + 0.06 * Math.sin(17 * y) * Math.sin(5 * x))));
  if (cat <= 0) return back;
  let fur = along(FUR, furTone(x, y) + (hair - 0.5) * 0.42);
  for (const side of [-1, 1]) {
    const [ex, ey] = [x - (0.5 + side * 0.155), y - 0.475];
    const eye = Math.hypot(ex / 0.078, ey / 0.058);
    if (eye < 1.16) fur = mix(DARK, fur, step(eye, 1, 1.16));
    if (eye < 1) fur = mix(mix([188, 196, 96], EYE, step(eye, 0.2, 0.9)), DARK, step(eye, 0.88, 1));
    const slit = Math.hypot(ex / 0.018, ey / 0.05);
    if (slit < 1.2) fur = mix(DARK, fur, step(slit, 0.85, 1.2));
    const glint = Math.hypot(ex + 0.022, ey + 0.02) / 0.012;
    if (glint < 1.2) fur = mix(LIGHT, fur, step(glint, 0.8, 1.2));
  }
  const nose = Math.abs(x - 0.5) / 0.05 + Math.abs(y - 0.6) / 0.032;
  if (nose < 1.2) fur = mix(NOSE, fur, step(nose, 0.85, 1.2));
  const mouth = Math.abs(y - 0.655 - 0.5 * Math.abs(Math.abs(x - 0.5) - 0.04));
  if (Math.abs(x - 0.5) < 0.085 && mouth < 0.006) fur = mix(DARK, fur, 0.45);
  return mix(back, fur, Math.min(1, cat));
}

/** How light the fur is: stripes on the brow and cheeks, a pale muzzle and breast, the ears dark within. */
function furTone(x: number, y: number): number {
  const across = Math.abs(x - 0.5);
  const muzzle = Math.exp(-((across / 0.11) ** 2) - ((y - 0.66) / 0.07) ** 2);
  const breast = Math.exp(-((across / 0.16) ** 2)) * step(y, 0.74, 0.9);
  const brow = step(0.44 - y, 0, 0.05) * Math.sin(46 * across + 1) * 0.16;
  const cheek = step(across, 0.17, 0.24) * Math.sin(38 * (y + across)) * 0.15;
  const ear = step(0.32 - y, 0, 0.06) * step(across, 0.17, 0.2) * 0.22;
  return 0.47 + 0.42 * Math.max(muzzle, breast) + brow + cheek - ear - 0.12 * across;
}

/** 1 well inside the cat, 0 outside: the head, two ears, the shoulders, with a soft edge. */
function insideCat(x: number, y: number): number {
  const across = Math.abs(x - 0.5);
  const head = 1 - Math.hypot(across / 0.35, (y - 0.53) / 0.26);
  const ear = Math.min((y - 0.12 - (0.31 - across) * 1.15) / 0.3, (0.34 - across) / 0.1, (0.45 - y) / 0.2);
  const ears = Math.min(ear, (across - 0.12) / 0.1);
  const body = 1 - Math.hypot(across / 0.42, (y - 1.05) / 0.36);
  return Math.max(head, ears, body) * 26 + 0.5;
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
