import { converter } from 'culori/fn';
import { seededRandom } from '../measure/index.ts';
import { deltaE, hexOf, labOf, type Lab } from './colours.ts';

/** The pixels of a picture: red, green, blue and opacity, 0–255, row by row. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8ClampedArray;
}

/** A colour of a picture, and the share of the picture that it covers. */
export interface PictureColour {
  readonly hex: string;
  readonly share: number;
}

/** Bits of each channel by which pixels are counted together. */
const BITS = 5;
/** A colour counts by this power of its pixels: small but telling ones are not drowned by the ground. */
const TELLING = 0.55;
/** Colours seen less often than this share are specks. */
const SPECK = 2e-5;
const ROUNDS = 24;

interface Counted {
  /** OKLab, flat; what is seen alike lies alike near. */
  readonly lab: Float64Array;
  readonly weight: Float64Array;
  readonly share: Float64Array;
}

/** The colours of a picture counted in a grid; see-through pixels are left out. */
function counted({ rgba }: Pixels): Counted {
  const cells = 1 << (3 * BITS);
  const sums = new Float64Array(cells * 4);
  const shift = 8 - BITS;
  let seen = 0;
  for (let i = 0; i < rgba.length; i += 4) {
    if (rgba[i + 3]! < 128) continue;
    const [r, g, b] = [rgba[i]!, rgba[i + 1]!, rgba[i + 2]!];
    const at = 4 * (((r >> shift) << (2 * BITS)) | ((g >> shift) << BITS) | (b >> shift));
    sums[at]! += 1;
    sums[at + 1]! += r;
    sums[at + 2]! += g;
    sums[at + 3]! += b;
    seen++;
  }
  const lab: number[] = [];
  const share: number[] = [];
  for (let cell = 0; cell < cells; cell++) {
    const count = sums[4 * cell]!;
    if (count === 0 || count < seen * SPECK) continue;
    const channel = (k: number): number => sums[4 * cell + k]! / count / 255;
    const { l, a, b } = toOklab({ mode: 'rgb', r: channel(1), g: channel(2), b: channel(3) });
    lab.push(l, a, b);
    share.push(count / seen);
  }
  return {
    lab: Float64Array.from(lab),
    share: Float64Array.from(share),
    weight: Float64Array.from(share, (value) => value ** TELLING),
  };
}

const toOklab = converter('oklab');
const toRgb = converter('rgb');

/**
 * The colours that tell a picture: k-means in OKLab over its counted colours (Arthur and Vassilvitskii 2007 for the start),
 * weighted so that a small colour that is far from all others survives. The same picture and seed give the same colours.
 * @returns at most `count` colours, the most seen first
 */
export function coloursOfPicture(pixels: Pixels, count: number, seed = 1): PictureColour[] {
  const { lab, weight, share } = counted(pixels);
  const size = weight.length;
  const wanted = Math.min(count, size);
  if (wanted === 0) return [];
  const centres = firstCentres(lab, weight, wanted, seed);
  const nearest = new Int32Array(size);
  for (let round = 0; round < ROUNDS; round++) {
    let moved = 0;
    for (let i = 0; i < size; i++) {
      const next = nearestCentre(lab, i, centres, wanted);
      if (next !== nearest[i]) moved++;
      nearest[i] = next;
    }
    recentre(lab, weight, nearest, centres);
    if (round > 0 && moved === 0) break;
  }
  const shares = new Float64Array(wanted);
  nearest.forEach((centre, i) => (shares[centre]! += share[i]!));
  return Array.from({ length: wanted }, (_, k): PictureColour => {
    const rgb = toRgb({ mode: 'oklab', l: centres[3 * k]!, a: centres[3 * k + 1]!, b: centres[3 * k + 2]! });
    return { hex: hexOf(rgb.r, rgb.g, rgb.b), share: shares[k]! };
  })
    .filter((colour) => colour.share > 0)
    .sort((a, b) => b.share - a.share);
}

function squared(lab: Float64Array, i: number, centres: Float64Array, k: number): number {
  const [l, a, b] = [
    lab[3 * i]! - centres[3 * k]!,
    lab[3 * i + 1]! - centres[3 * k + 1]!,
    lab[3 * i + 2]! - centres[3 * k + 2]!,
  ];
  return l * l + a * a + b * b;
}

function nearestCentre(lab: Float64Array, i: number, centres: Float64Array, count: number): number {
  let [best, least] = [0, Infinity];
  for (let k = 0; k < count; k++) {
    const distance = squared(lab, i, centres, k);
    if (distance < least) [best, least] = [k, distance];
  }
  return best;
}

/** The heaviest first, each next by chance, the likelier the further from those that are there. */
function firstCentres(lab: Float64Array, weight: Float64Array, count: number, seed: number): Float64Array {
  const random = seededRandom(seed);
  const size = weight.length;
  const centres = new Float64Array(count * 3);
  const far = new Float64Array(size).fill(Infinity);
  let next = weight.indexOf(weight.reduce((most, value) => Math.max(most, value), 0));
  for (let k = 0; k < count; k++) {
    centres.set(lab.subarray(3 * next, 3 * next + 3), 3 * k);
    let sum = 0;
    for (let i = 0; i < size; i++) {
      far[i] = Math.min(far[i]!, squared(lab, i, centres, k));
      sum += far[i]! * weight[i]!;
    }
    let left = random.next() * sum;
    next = 0;
    while (next < size - 1 && (left -= far[next]! * weight[next]!) > 0) next++;
  }
  return centres;
}

function recentre(lab: Float64Array, weight: Float64Array, nearest: Int32Array, centres: Float64Array): void {
  const sums = new Float64Array(centres.length);
  const weights = new Float64Array(centres.length / 3);
  for (let i = 0; i < weight.length; i++) {
    const [k, w] = [nearest[i]!, weight[i]!];
    weights[k]! += w;
    for (let d = 0; d < 3; d++) sums[3 * k + d]! += lab[3 * i + d]! * w;
  }
  for (let k = 0; k < weights.length; k++) {
    if (weights[k]! > 0) for (let d = 0; d < 3; d++) centres[3 * k + d] = sums[3 * k + d]! / weights[k]!;
  }
}

/** Shades chosen one after the other, and how far the picture is from them after each. */
export interface ShadeChoice<T> {
  readonly shades: readonly T[];
  /** The mean difference (ΔE2000) of the picture from its nearest shade, with one shade, with two … */
  readonly errors: readonly number[];
}

/** What weighs in the choice of shades. */
export interface ShadeWeights<T> {
  /** A colour counts by this power of its share: below 1, small but telling ones are not drowned by the ground. */
  readonly telling?: number;
  /** By how much a shade must be better than another to be taken before it, as a factor on the error: 1 for all. */
  dearness?(shade: T): number;
}

/**
 * Starts with the one shade that serves a picture best and adds, each time, the shade that most lessens the error.
 * @param already shades that are to be there whatever happens
 */
export function bestShades<T extends { readonly lab: Lab }>(
  colours: readonly PictureColour[],
  shades: readonly T[],
  count: number,
  already: readonly T[] = [],
  { telling = TELLING, dearness = () => 1 }: ShadeWeights<T> = {},
): ShadeChoice<T> {
  const labs = colours.map(({ hex }) => labOf(hex));
  const weights = colours.map(({ share }) => share ** telling);
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  const apart = shades.map((shade) => labs.map((lab) => deltaE(lab, shade.lab)));
  const now = labs.map(() => Infinity);
  const chosen: T[] = [];
  const errors: number[] = [];
  const errorWith = (k: number): number =>
    weights.reduce((sum, weight, i) => sum + weight * Math.min(now[i]!, apart[k]![i]!), 0) / all;
  const take = (k: number): void => {
    errors.push(errorWith(k));
    apart[k]!.forEach((difference, i) => (now[i] = Math.min(now[i]!, difference)));
    chosen.push(shades[k]!);
  };
  already.forEach((shade) => take(shades.indexOf(shade)));
  while (chosen.length < Math.min(count, shades.length)) {
    let [best, least] = [-1, Infinity];
    shades.forEach((shade, k) => {
      if (chosen.includes(shade)) return;
      const error = errorWith(k) * dearness(shade);
      if (error < least) [best, least] = [k, error];
    });
    take(best);
    if (least < 1e-9) break;
  }
  return { shades: chosen, errors };
}

/** Red, green and blue of the nearest of some colours for every pixel: the picture as it would look in them. */
export function inColours(pixels: Pixels, hexes: readonly string[]): Uint8ClampedArray {
  const { rgba } = pixels;
  const out = new Uint8ClampedArray(rgba.length);
  if (hexes.length === 0) return out;
  const labs = hexes.map((hex) => toOklab(hex)!);
  const bytes = hexes.map((hex) => [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16)));
  const known = new Int16Array(1 << (3 * BITS)).fill(-1);
  const shift = 8 - BITS;
  for (let i = 0; i < rgba.length; i += 4) {
    const [r, g, b] = [rgba[i]!, rgba[i + 1]!, rgba[i + 2]!];
    const cell = ((r >> shift) << (2 * BITS)) | ((g >> shift) << BITS) | (b >> shift);
    if (known[cell] === -1) {
      const lab = toOklab({ mode: 'rgb', r: r / 255, g: g / 255, b: b / 255 });
      const far = labs.map((other) => (lab.l - other.l) ** 2 + (lab.a - other.a) ** 2 + (lab.b - other.b) ** 2);
      known[cell] = far.indexOf(Math.min(...far));
    }
    const [cr, cg, cb] = bytes[known[cell]!]!;
    out[i] = cr!;
    out[i + 1] = cg!;
    out[i + 2] = cb!;
    out[i + 3] = rgba[i + 3]!;
  }
  return out;
}
