import { hexOf, labOf, nearestLab } from '../../colour/index.ts';
import type { Raster } from './raster.ts';

/** Regions of like colour: a label for each pixel, and the colour of each label. */
export interface ColourRegions {
  readonly labels: Int32Array;
  /** By label: the index of its colour and how many pixels it has. */
  readonly regions: readonly { readonly colour: number; readonly pixels: number }[];
  readonly hexes: readonly string[];
}

/** Told how far the work has come, from 0 to 1. */
export type Progress = (share: number) => void;

/** The number of pixels, evenly taken, among which colours are found: more say nothing new. */
const SAMPLE_PIXELS = 200_000;
/** Cells of colour from which merging begins, the fullest. */
const MOST_CELLS = 220;
/** Colours nearer than this in Lab are one with noise in it. */
const SAME_COLOUR = 7;

/**
 * The colours to which a picture is reduced: cells of like colour, merged in Lab two by two where that costs least (Ward 1963). Cells
 * weigh by the root of their share, so that a small but telling colour stays.
 */
export function paletteOf(raster: Raster, count: number): string[] {
  const clusters = colourCells(raster).map(({ hex, share }) => ({
    hex,
    lab: labOf(hex),
    share,
    weight: Math.sqrt(share),
  }));
  while (clusters.length > 1) {
    let [best, nearest, at, into] = [Infinity, 0, 0, 0];
    for (let i = 1; i < clusters.length; i++) {
      const { lab, weight } = clusters[i]!;
      for (let j = 0; j < i; j++) {
        const other = clusters[j]!;
        const apart = (lab.l - other.lab.l) ** 2 + (lab.a - other.lab.a) ** 2 + (lab.b - other.lab.b) ** 2;
        const cost = (apart * weight * other.weight) / (weight + other.weight);
        if (cost < best) [best, nearest, at, into] = [cost, apart, i, j];
      }
    }
    if (clusters.length <= count && nearest > SAME_COLOUR ** 2) break;
    const [a, b] = [clusters[at]!, clusters[into]!];
    const share = a.share + b.share;
    const mean = (key: 'l' | 'a' | 'b'): number => (a.lab[key] * a.share + b.lab[key] * b.share) / share;
    // The colour shown is the commoner of the two: a mean of two is in the picture nowhere.
    const { hex } = a.share > b.share ? a : b;
    clusters[into] = {
      hex,
      lab: { ...a.lab, l: mean('l'), a: mean('a'), b: mean('b') },
      share,
      weight: Math.sqrt(share),
    };
    clusters.splice(at, 1);
  }
  return clusters.map(({ hex }) => hex);
}

/** Pixels that differ by more than this from the next, in all channels together, lie on an edge and are a blend. */
const BLEND = 30;
/** With fewer flat pixels than this share a picture has no flat colours to go by. */
const LEAST_FLAT = 0.05;

/** The fullest cells of a cube of 16 steps for red, green and blue: the mean colour of each, and how many pixels it holds. */
function colourCells(raster: Raster): { hex: string; share: number }[] {
  const { width, height, rgba } = raster;
  const step = Math.max(1, Math.floor((width * height) / SAMPLE_PIXELS));
  const all = Array.from({ length: Math.ceil((width * height) / step) }, (_, k) => k * step);
  const flat = all.filter((i) => isFlat(raster, i));
  const cells = new Map<number, [red: number, green: number, blue: number, share: number]>();
  for (const i of flat.length > LEAST_FLAT * all.length ? flat : all) {
    const [r, g, b] = [rgba[4 * i]!, rgba[4 * i + 1]!, rgba[4 * i + 2]!];
    const key = ((r >> 4) << 8) | ((g >> 4) << 4) | (b >> 4);
    const cell = cells.get(key);
    if (!cell) cells.set(key, [r, g, b, 1]);
    else {
      cell[0] += r;
      cell[1] += g;
      cell[2] += b;
      cell[3]++;
    }
  }
  return [...cells.values()]
    .sort((p, q) => q[3] - p[3])
    .slice(0, MOST_CELLS)
    .map(([r, g, b, share]) => ({ hex: hexOf(r / share / 255, g / share / 255, b / share / 255), share }));
}

/** Whether a pixel is like those on its four sides. */
function isFlat({ width, height, rgba }: Raster, i: number): boolean {
  const [x, y] = [i % width, Math.floor(i / width)];
  const isLike = (other: number): boolean =>
    Math.abs(rgba[4 * other]! - rgba[4 * i]!) +
      Math.abs(rgba[4 * other + 1]! - rgba[4 * i + 1]!) +
      Math.abs(rgba[4 * other + 2]! - rgba[4 * i + 2]!) <=
    BLEND;
  return (
    (x === 0 || isLike(i - 1)) &&
    (x === width - 1 || isLike(i + 1)) &&
    (y === 0 || isLike(i - width)) &&
    (y === height - 1 || isLike(i + width))
  );
}

/**
 * A picture as connected regions of like colour. Specks are taken into the neighbour with which they share most of their outline.
 * @param leastPixels regions with fewer pixels are specks
 * @param mostRegions specks grow until no more regions than this are left
 */
export function colourRegions(
  raster: Raster,
  hexes: readonly string[],
  leastPixels: number,
  mostRegions: number,
  progress: Progress = () => undefined,
): ColourRegions {
  const { width, height } = raster;
  let colours = majority(nearestColourOf(raster, hexes), width, height, 5);
  progress(0.3);
  let found = components(colours, width);
  for (let again = 0; found.sizes.length > CROWD && again < MOST_ROUNDS; again++) {
    colours = majority(colours, width, height, 2);
    found = components(colours, width);
  }
  const crowd = found.sizes.length;
  // Taking specks in by growing sizes lets a crowd of them find its own colour first.
  for (
    let least = Math.min(2, leastPixels);
    ;
    least = least < leastPixels ? Math.min(leastPixels, least * 4) : least * 2
  ) {
    for (let round = 0; round < MOST_ROUNDS && found.sizes.some((size) => size < least); round++) {
      const merged = takeSpecksIn(found, colours, width, height, least);
      if (!merged) break;
      colours = merged;
      found = components(colours, width);
    }
    progress(Math.min(1, 0.3 + (0.7 * Math.log(crowd / found.sizes.length)) / Math.log(1 + crowd / mostRegions)));
    if (least >= leastPixels && found.sizes.length <= mostRegions) break;
  }
  for (let round = 0; round < MOST_FRINGES; round++) {
    const widths = widthsOf(found, width, height);
    const sizes = found.sizes.map((size, label) => (widths[label]! < FRINGE_PX ? 1 : size));
    const merged = takeSpecksIn({ ...found, sizes }, colours, width, height, 2);
    if (!merged) break;
    colours = merged;
    found = components(colours, width);
  }
  const regions = found.sizes.map((pixels, label) => ({ colour: found.colourOf[label]!, pixels }));
  return { labels: found.labels, regions, hexes };
}

const MOST_ROUNDS = 12;
/** Where two colours meet, a decoder leaves a fringe of their blend: what is narrower than this on the mean belongs to its neighbour. */
const FRINGE_PX = 1.8;
const MOST_FRINGES = 3;

/** The mean width of regions in pixels: twice their area over their outline. */
function widthsOf({ labels, sizes }: Components, width: number, height: number): number[] {
  const sides = new Float64Array(sizes.length);
  for (let at = 0; at < labels.length; at++) {
    const [x, y] = [at % width, Math.floor(at / width)];
    if (x === 0 || labels[at - 1] !== labels[at]) sides[labels[at]!]!++;
    if (x === width - 1 || labels[at + 1] !== labels[at]) sides[labels[at]!]!++;
    if (y === 0 || labels[at - width] !== labels[at]) sides[labels[at]!]!++;
    if (y === height - 1 || labels[at + width] !== labels[at]) sides[labels[at]!]!++;
  }
  return sizes.map((size, label) => (2 * size) / sides[label]!);
}

/** More regions than this are noise: it is smoothed once more before specks are looked at one by one. */
const CROWD = 12_000;

/** Colours are told apart in Lab; each is looked up once for every 32nd step of red, green and blue. */
function nearestColourOf({ width, height, rgba }: Raster, hexes: readonly string[]): Uint8Array {
  const labs = hexes.map((hex) => labOf(hex));
  const known = new Int16Array(1 << 15).fill(-1);
  const out = new Uint8Array(width * height);
  for (let i = 0; i < out.length; i++) {
    const [r, g, b] = [rgba[4 * i]! >> 3, rgba[4 * i + 1]! >> 3, rgba[4 * i + 2]! >> 3];
    const key = (r << 10) | (g << 5) | b;
    if (known[key]! < 0)
      known[key] = nearestLab(
        labOf(hexOf(...([r, g, b].map((value) => (value * 8 + 4) / 255) as [number, number, number]))),
        labs,
      );
    out[i] = known[key]!;
  }
  return out;
}

/** Each pixel takes the colour that at least `need` of the nine about it have: noise goes, edges stay. */
function majority(colours: Uint8Array, width: number, height: number, need: number): Uint8Array {
  const out = Uint8Array.from(colours);
  const count = new Uint8Array(256);
  for (let y = 1; y < height - 1; y++) {
    for (let x = 1; x < width - 1; x++) {
      const at = y * width + x;
      let [best, most] = [colours[at]!, 0];
      for (let k = 0; k < 9; k++) {
        const colour = colours[at + ((k / 3) | 0) * width - width + (k % 3) - 1]!;
        if (++count[colour]! > most) [best, most] = [colour, count[colour]!];
      }
      for (let k = 0; k < 9; k++) count[colours[at + ((k / 3) | 0) * width - width + (k % 3) - 1]!] = 0;
      if (most >= need) out[at] = best;
    }
  }
  return out;
}

interface Components {
  readonly labels: Int32Array;
  readonly sizes: number[];
  readonly colourOf: number[];
}

/** Pixels of one colour that hang together by their sides. */
function components(colours: Uint8Array, width: number): Components {
  const labels = new Int32Array(colours.length).fill(-1);
  const [sizes, colourOf]: [number[], number[]] = [[], []];
  const stack = new Int32Array(colours.length);
  for (let seed = 0; seed < colours.length; seed++) {
    if (labels[seed]! >= 0) continue;
    const [label, colour] = [sizes.length, colours[seed]!];
    let [top, size] = [0, 0];
    stack[top++] = seed;
    labels[seed] = label;
    while (top > 0) {
      const at = stack[--top]!;
      size++;
      const x = at % width;
      for (const next of [x > 0 ? at - 1 : -1, x < width - 1 ? at + 1 : -1, at - width, at + width]) {
        if (next < 0 || next >= colours.length || labels[next]! >= 0 || colours[next] !== colour) continue;
        labels[next] = label;
        stack[top++] = next;
      }
    }
    sizes.push(size);
    colourOf.push(colour);
  }
  return { labels, sizes, colourOf };
}

/** Gives every speck the colour of the larger neighbour that it borders on most; null where none has one. */
function takeSpecksIn(
  { labels, sizes, colourOf }: Components,
  colours: Uint8Array,
  width: number,
  height: number,
  least: number,
): Uint8Array | null {
  // How many pixel sides a speck shares with another region, by speck and other.
  const shared = new Map<number, number>();
  const count = sizes.length;
  const note = (speck: number, other: number): void => {
    if (sizes[speck]! >= least || sizes[other]! < sizes[speck]!) return;
    const key = speck * count + other;
    shared.set(key, (shared.get(key) ?? 0) + 1);
  };
  const meet = (a: number, b: number): void => {
    if (a === b) return;
    note(a, b);
    note(b, a);
  };
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const at = y * width + x;
      if (x > 0) meet(labels[at]!, labels[at - 1]!);
      if (y > 0) meet(labels[at]!, labels[at - width]!);
    }
  }
  const becomes = new Map<number, number>();
  const most = new Map<number, number>();
  for (const [key, sides] of shared) {
    const speck = Math.floor(key / count);
    if (sides <= (most.get(speck) ?? 0)) continue;
    most.set(speck, sides);
    becomes.set(speck, colourOf[key % count]!);
  }
  if (becomes.size === 0) return null;
  return Uint8Array.from(colours, (colour, i) => becomes.get(labels[i]!) ?? colour);
}
