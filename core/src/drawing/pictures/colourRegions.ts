import quantize, { type RgbPixel } from 'quantize';
import { hexOf, labOf, type Lab } from '../../colour/index.ts';
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

/** Colours are found among so many pixels, evenly taken: more say nothing new. */
const SAMPLE_PIXELS = 120_000;

/** So many more colours are found first, to be merged down to those wanted. */
const FINER = 5;
const MOST_FINE = 96;
/** Colours nearer than this in Lab are one with noise in it. */
const SAME_COLOUR = 7;

/**
 * The colours to which a picture is reduced: many by median cuts (Heckbert 1982, as modified by Bloomberg 2008), merged in Lab two by
 * two where that costs least (Ward 1963). Colours weigh by the root of their share, so that a small but telling one stays.
 */
export function paletteOf({ width, height, rgba }: Raster, count: number): string[] {
  const pixels: RgbPixel[] = [];
  const step = Math.max(1, Math.floor((width * height) / SAMPLE_PIXELS));
  for (let i = 0; i < width * height; i += step) pixels.push([rgba[4 * i]!, rgba[4 * i + 1]!, rgba[4 * i + 2]!]);
  const found = quantize(pixels, Math.min(MOST_FINE, Math.max(2, count) * FINER));
  const fine = found ? found.palette() : pixels.slice(0, 1);
  const hexes = [...new Set(fine.map(([r, g, b]) => hexOf(r / 255, g / 255, b / 255)))];
  const shares = new Float64Array(hexes.length);
  const sample = { width: pixels.length, height: 1, rgba: Uint8ClampedArray.from(pixels.flatMap((p) => [...p, 255])) };
  for (const colour of nearestColourOf(sample, hexes)) shares[colour]!++;
  const clusters = hexes.flatMap((hex, i) =>
    shares[i]! > 0 ? [{ hex, lab: labOf(hex), share: shares[i]!, weight: Math.sqrt(shares[i]!) }] : [],
  );
  while (clusters.length > 1) {
    let [best, nearest, at, into] = [Infinity, 0, 0, 0];
    clusters.forEach((a, i) => {
      clusters.slice(0, i).forEach((b, j) => {
        const apart = (a.lab.l - b.lab.l) ** 2 + (a.lab.a - b.lab.a) ** 2 + (a.lab.b - b.lab.b) ** 2;
        const cost = (apart * a.weight * b.weight) / (a.weight + b.weight);
        if (cost < best) [best, nearest, at, into] = [cost, apart, i, j];
      });
    });
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

/**
 * A picture as connected regions of like colour. Specks are taken into the neighbour with which they share most of their outline.
 * @param leastPixels regions with fewer pixels are specks
 * @param mostRegions specks grow until so many regions are left
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
  // Taking specks in by doubling sizes lets a crowd of them find its own colour first.
  for (
    let least = Math.min(2, leastPixels);
    ;
    least = least < leastPixels ? Math.min(leastPixels, least * 2) : least * 2
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
  const regions = found.sizes.map((pixels, label) => ({ colour: found.colourOf[label]!, pixels }));
  return { labels: found.labels, regions, hexes };
}

const MOST_ROUNDS = 12;
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

function nearestLab(lab: Lab, labs: readonly Lab[]): number {
  let [best, least] = [0, Infinity];
  labs.forEach((other, i) => {
    const distance = (lab.l - other.l) ** 2 + (lab.a - other.a) ** 2 + (lab.b - other.b) ** 2;
    if (distance < least) [best, least] = [i, distance];
  });
  return best;
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
