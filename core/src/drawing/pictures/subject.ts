import { blur2 } from 'd3-array';
import svgpath from 'svgpath';
import { outlinesOf } from './borders.ts';
import { labOfRgb } from '../../colour/index.ts';
import { colourRegions } from './colourRegions.ts';
import { shrunk, type Raster } from './raster.ts';

/** The picture is looked at so large, px. */
const WORKING_PX = 320;
/** The distance over which fine detail is blurred before, as a share of the longer side. */
const BLUR_SHARE = 0.012;
/** The number of turns in which ways from the edge are looked for. */
const TURNS = 4;
/** What differs by less from the edge is background, CIELAB. */
const LEAST_BARRIER = 12;
/** The least and the most of the picture that a subject takes, as shares. */
const LEAST_SHARE = 0.02;
const MOST_SHARE = 0.9;
/** Smaller islands and gaps are none. */
const SPECK_SHARE = 0.004;
const SMOOTH_PX = 1.4;

/**
 * What stands out from the edges of a picture: what no way leads to from there without a great change of colour, the largest such place
 * with all that it goes round (minimum barrier distance; Zhang and others 2015).
 * @returns its outline as path data in pixels of the picture; null where nothing stands out
 */
export function subjectOf(picture: Raster): string | null {
  const small = shrunk(picture, WORKING_PX);
  const { width, height, rgba } = small;
  const count = width * height;
  const channels = [new Float64Array(count), new Float64Array(count), new Float64Array(count)];
  for (let i = 0; i < count; i++) {
    const { l, a, b } = labOfRgb(rgba[4 * i]! / 255, rgba[4 * i + 1]! / 255, rgba[4 * i + 2]! / 255);
    channels[0]![i] = l;
    channels[1]![i] = a;
    channels[2]![i] = b;
  }
  const barrier = new Float64Array(count);
  for (const data of channels) {
    blur2({ data, width, height }, Math.max(1, BLUR_SHARE * Math.max(width, height)));
    barrierFromEdges(data, width).forEach((value, i) => (barrier[i]! += value));
  }
  const limit = Math.max(LEAST_BARRIER, parting(barrier));
  const two = new Uint8ClampedArray(4 * count);
  barrier.forEach((value, i) => two.fill(value > limit ? 0 : 255, 4 * i, 4 * i + 4));
  const { labels, regions } = colourRegions(
    { width, height, rgba: two },
    ['#ffffff', '#000000'],
    SPECK_SHARE * count,
    50,
  );
  let best = -1;
  regions.forEach(({ colour, pixels }, label) => {
    if (colour === 1 && pixels > (regions[best]?.pixels ?? 0)) best = label;
  });
  if (best < 0) return null;
  const whole = withWhatItGoesRound(labels, width, best);
  const share = whole.reduce((sum, value) => sum + value, 0) / count;
  if (share < LEAST_SHARE || share > MOST_SHARE) return null;
  const outline = outlinesOf(whole, width, height, SMOOTH_PX).get(1);
  const scale = picture.width / width;
  return outline ? svgpath(outline).scale(scale).round(1).toString() : null;
}

/**
 * The least range of values over which a way leads to each pixel from the upper edge or from the sides. Not from the lower edge: there the
 * subject is cut off as often as the background is.
 */
function barrierFromEdges(values: Float64Array, width: number): Float64Array {
  const height = values.length / width;
  const barrier = new Float64Array(values.length).fill(Infinity);
  const [low, high] = [values.slice(), values.slice()];
  for (let x = 0; x < width; x++) barrier[x] = 0;
  for (let y = 0; y < height; y++) barrier[y * width] = barrier[y * width + width - 1] = 0;
  const come = (from: number, to: number): void => {
    const [least, most] = [Math.min(low[from]!, values[to]!), Math.max(high[from]!, values[to]!)];
    if (most - least >= barrier[to]!) return;
    barrier[to] = most - least;
    low[to] = least;
    high[to] = most;
  };
  for (let turn = 0; turn < TURNS; turn++) {
    const isForward = turn % 2 === 0;
    const step = isForward ? -1 : 1;
    for (let k = 0; k < values.length; k++) {
      const at = isForward ? k : values.length - 1 - k;
      const [x, y] = [at % width, Math.floor(at / width)];
      if (x + step >= 0 && x + step < width) come(at + step, at);
      if (y + step >= 0 && y + step < height) come(at + step * width, at);
    }
  }
  return barrier;
}

const BINS = 128;

/** The value that parts numbers into two sets most unlike each other (Otsu 1979). */
function parting(values: Float64Array): number {
  const most = values.reduce((a, b) => Math.max(a, b), 0);
  const bins = new Float64Array(BINS);
  for (const value of values) bins[Math.min(BINS - 1, Math.floor((value / most) * BINS))]!++;
  const all = bins.reduce((sum, n, k) => sum + n * k, 0);
  let [below, sum, best, widest] = [0, 0, 0, 0];
  for (let k = 0; k < BINS - 1; k++) {
    below += bins[k]!;
    sum += k * bins[k]!;
    const above = values.length - below;
    if (below === 0 || above === 0) continue;
    const between = below * above * (sum / below - (all - sum) / above) ** 2;
    if (between > widest) [best, widest] = [k + 1, between];
  }
  return (best / BINS) * most;
}

/** 1 for a region and for all that no way leads out of but through it. */
function withWhatItGoesRound(labels: Int32Array, width: number, region: number): Int32Array {
  const height = labels.length / width;
  const whole = new Int32Array(labels.length).fill(1);
  const open: number[] = [];
  const leave = (at: number): void => {
    if (labels[at] === region || whole[at] === 0) return;
    whole[at] = 0;
    open.push(at);
  };
  for (let x = 0; x < width; x++) [x, (height - 1) * width + x].forEach(leave);
  for (let y = 0; y < height; y++) [y * width, y * width + width - 1].forEach(leave);
  for (let at = open.pop(); at !== undefined; at = open.pop()) {
    if (at % width > 0) leave(at - 1);
    if (at % width < width - 1) leave(at + 1);
    if (at >= width) leave(at - width);
    if (at < width * (height - 1)) leave(at + width);
  }
  return whole;
}
