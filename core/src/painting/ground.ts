import { labOfRgb } from '../colour/index.ts';
import type { PictureBelow } from '../drawing/index.ts';
import { boxOf, type Region } from '../geometry/index.ts';
import { Memory, stage } from '../measure/index.ts';

/** Samples of the picture to the width of a thread: it cannot show more. */
const SAMPLES_A_WIDTH = 4;
const MOST_CELLS = 4e6;
/** How far beyond the region the picture is looked at, mm: its edges lead the stitches inside. */
const AROUND_MM = 2;
/** Bits of each channel by which colours are looked up. */
const BITS = 6;
const SHIFT = 8 - BITS;

/** A picture as a thread can show it: laid on the cloth below a region, one colour for each cell of a grid. */
export interface Ground {
  readonly x0: number;
  readonly y0: number;
  readonly stepMm: number;
  readonly columns: number;
  readonly rows: number;
  /** Red, green, blue, 0–255, cell by cell. */
  readonly rgb: Uint8Array;
}

interface PictureUnderRegion {
  readonly region: Region;
  readonly below: PictureBelow;
  readonly laidMm: number;
}

/** One ground at a time: what was asked for last is most often asked for next, in other shades, for its colours, or to be judged. */
export const GROUND_BELOW = stage<PictureUnderRegion>()('ground below', ['region', 'below', 'laidMm'], laidBelow);

/** The picture below a region, as {@link laidBelow} lays it. */
export function groundBelow(region: Region, below: PictureBelow, laidMm: number, memory = new Memory()): Ground | null {
  return memory.made(GROUND_BELOW, [], { region, below, laidMm });
}

/** Places to a side of a box that are looked at, whether they lie beside the picture. */
const LOOKS = 200;

/** The share of a region's box that lies beside the picture, 0–1. */
export function shareBeside(region: Region, { picture, toPicture: [a, b, c, d, e, f] }: PictureBelow): number {
  const box = boxOf(region);
  if (!box) return 0;
  let beside = 0;
  for (let i = 0; i < LOOKS * LOOKS; i++) {
    const x = box.minX + (((i % LOOKS) + 0.5) / LOOKS) * (box.maxX - box.minX);
    const y = box.minY + ((Math.floor(i / LOOKS) + 0.5) / LOOKS) * (box.maxY - box.minY);
    const [u, v] = [a * x + c * y + e, b * x + d * y + f];
    if (u < 0 || v < 0 || u >= picture.width || v >= picture.height) beside++;
  }
  return beside / LOOKS ** 2;
}

/**
 * Lays a picture below a region. Where the picture is finer than the thread, each cell is the mean of what falls on it; where it is coarser,
 * colours run smoothly from pixel to pixel. Transparent places are white; beside the picture its edge goes on.
 */
function laidBelow({ region, below: { picture, toPicture }, laidMm }: PictureUnderRegion): Ground | null {
  const box = boxOf(region);
  if (!box) return null;
  const [width, height] = [box.maxX - box.minX + 2 * AROUND_MM, box.maxY - box.minY + 2 * AROUND_MM];
  const stepMm = Math.max(laidMm / SAMPLES_A_WIDTH, Math.sqrt((width * height) / MOST_CELLS));
  const [x0, y0] = [box.minX - AROUND_MM, box.minY - AROUND_MM];
  const [columns, rows] = [Math.ceil(width / stepMm) + 1, Math.ceil(height / stepMm) + 1];
  const rgb = new Uint8Array(3 * columns * rows);
  const [a, b, c, d, e, f] = toPicture;
  const pxPerCell = Math.sqrt(Math.abs(a * d - b * c)) * stepMm;
  const take = pxPerCell > 1 ? meanOf(Math.min(6, Math.ceil(pxPerCell)), toPicture, stepMm) : between;
  for (let row = 0, at = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++, at += 3) {
      const [x, y] = [x0 + column * stepMm, y0 + row * stepMm];
      const [u, v] = [a * x + c * y + e, b * x + d * y + f];
      take(picture, u, v, rgb, at);
    }
  }
  return { x0, y0, stepMm, columns, rows, rgb };
}

type Take = (picture: PictureBelow['picture'], u: number, v: number, out: Uint8Array, at: number) => void;

/** The mean of a number of places to a side of a cell. */
function meanOf(places: number, [a, b, c, d]: PictureBelow['toPicture'], stepMm: number): Take {
  return ({ width, height, rgba }, u, v, out, at) => {
    let red = 0;
    let green = 0;
    let blue = 0;
    for (let j = 0; j < places; j++) {
      for (let i = 0; i < places; i++) {
        const dx = ((i + 0.5) / places - 0.5) * stepMm;
        const dy = ((j + 0.5) / places - 0.5) * stepMm;
        const px = Math.min(width - 1, Math.max(0, Math.floor(u + a * dx + c * dy)));
        const py = Math.min(height - 1, Math.max(0, Math.floor(v + b * dx + d * dy)));
        const from = 4 * (py * width + px);
        const alpha = rgba[from + 3]! / 255;
        red += 255 + (rgba[from]! - 255) * alpha;
        green += 255 + (rgba[from + 1]! - 255) * alpha;
        blue += 255 + (rgba[from + 2]! - 255) * alpha;
      }
    }
    const count = places * places;
    // Cut off when it is stored: half a step more rounds it.
    out[at] = red / count + 0.5;
    out[at + 1] = green / count + 0.5;
    out[at + 2] = blue / count + 0.5;
  };
}

/** Smoothly between four pixels. Written out: it is asked for each of millions of cells. */
const between: Take = ({ width, height, rgba }, u, v, out, at) => {
  const x = Math.min(width - 1, Math.max(0, u - 0.5));
  const y = Math.min(height - 1, Math.max(0, v - 0.5));
  const left = Math.floor(x);
  const top = Math.floor(y);
  const right = Math.min(width - 1, left + 1);
  const bottom = Math.min(height - 1, top + 1);
  const s = x - left;
  const t = y - top;
  const nw = 4 * (top * width + left);
  const ne = 4 * (top * width + right);
  const sw = 4 * (bottom * width + left);
  const se = 4 * (bottom * width + right);
  // What of each pixel shows, and the white of the rest.
  const ofNw = ((1 - s) * (1 - t) * rgba[nw + 3]!) / 255;
  const ofNe = (s * (1 - t) * rgba[ne + 3]!) / 255;
  const ofSw = ((1 - s) * t * rgba[sw + 3]!) / 255;
  const ofSe = (s * t * rgba[se + 3]!) / 255;
  const white = 255 * (1 - ofNw - ofNe - ofSw - ofSe);
  for (let k = 0; k < 3; k++) {
    out[at + k] =
      0.5 + white + ofNw * rgba[nw + k]! + ofNe * rgba[ne + k]! + ofSw * rgba[sw + k]! + ofSe * rgba[se + k]!;
  }
};

/** The cell of the ground at a place on the cloth. */
export function cellAt({ x0, y0, stepMm, columns, rows }: Ground, x: number, y: number): number {
  const column = Math.min(columns - 1, Math.max(0, Math.round((x - x0) / stepMm)));
  const row = Math.min(rows - 1, Math.max(0, Math.round((y - y0) / stepMm)));
  return row * columns + column;
}

/** Colours in so few bits that each is looked up: 0 to 2¹⁸ − 1. */
export function keyAt(rgb: Uint8Array, cell: number): number {
  const at = 3 * cell;
  return ((rgb[at]! >> SHIFT) << (2 * BITS)) | ((rgb[at + 1]! >> SHIFT) << BITS) | (rgb[at + 2]! >> SHIFT);
}

/** CIELAB by key, filled as colours are met. */
export type ColourTable = Float32Array;

export const COLOUR_TABLE = stage<object>()('colour table', [], (): ColourTable => {
  return new Float32Array(3 << (3 * BITS)).fill(NaN);
});

export function colourTable(memory: Memory): ColourTable {
  return memory.made(COLOUR_TABLE, [], {});
}

/** CIELAB of a key, in the middle of what it stands for. */
export function labOfKey(key: number, out: Float64Array, labs: ColourTable): void {
  const at = 3 * key;
  if (Number.isNaN(labs[at]!)) {
    const channel = (shift: number): number =>
      ((((key >> shift) & ((1 << BITS) - 1)) << SHIFT) + (1 << (SHIFT - 1))) / 255;
    const { l, a, b } = labOfRgb(channel(2 * BITS), channel(BITS), channel(0));
    labs[at] = l;
    labs[at + 1] = a;
    labs[at + 2] = b;
  }
  out[0] = labs[at]!;
  out[1] = labs[at + 1]!;
  out[2] = labs[at + 2]!;
}
