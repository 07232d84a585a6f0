import { lengthsOf, placeOn, type Place } from '../../geometry/index.ts';
import { mean } from '../../measure/index.ts';
import type { Raster } from './raster.ts';

/** A stroke is looked at in steps of this, px. */
const STEP_PX = 2;
const MOST_STATIONS = 1200;
/** An edge is seen between places this far away on either side, sharp ones and soft ones, px. */
const BESIDE_PX = [1.5, 3] as const;
/** A drawn line is dark (or pale) against both its sides at one of these distances, px. */
const LINE_HALVES_PX = [3, 4.5, 6] as const;
/** So far to the side of a place is looked. */
const WIDEST_PX = 6;
/** Colours are taken this often to a pixel, and as the mean over this number to either side along the stroke. */
const PER_PX = 2;
const ALONG_PX = 2;
/** The middle of a line is as light as these places are together, px. */
const LINE_MIDDLE_PX = [-2, -1, 0, 1, 2] as const;
/** The middle of a drawn line counts for more than either of its edges. */
const MIDDLE_GAIN = 1.6;
/** Contrast (root mean square of the channels, of 255) below which there is no edge, and from which one is as clear as can be. */
const CONTRAST = { faint: 10, clear: 60 } as const;
/** What it costs to leave the stroke by all of its reach, and to move over by a pixel from one step to the next; a clear edge gains 1. */
const COST = { away: 0.35, move: 0.12 } as const;

/**
 * A stroke drawn by hand, laid upon the edges and lines of the picture beneath it: of all ways that keep near to it and
 * do not jump, the one that runs along the clearest edges (dynamic programming over offsets to the side; Amini, Weymouth and Jain
 * 1990). Where the picture has no edge within reach, the stroke stays as drawn.
 * @param stroke places in pixels
 * @param reachPx how far it may be moved to the side
 * @returns places about two pixels apart
 */
export function alongEdges(picture: Raster, stroke: readonly Place[], closed: boolean, reachPx: number): Place[] {
  const stations = stationsOf(stroke, closed);
  if (stations.length < 3) return [...stroke];
  const reach = Math.max(1, Math.round(reachPx));
  const gains = stations.map((station) => {
    const profile = profileOf(picture, station, reach);
    return Float64Array.from(clearness(profile, reach), (clear, k) => clear - COST.away * ((k - reach) / reach) ** 2);
  });
  // A ring is gone round twice, and the way is taken from the middle, where neither end is felt.
  const half = stations.length >> 1;
  const offsets = closed ? bestWay([...gains, ...gains]).slice(half, half + stations.length) : bestWay(gains);
  return offsets.map((offset, i) => {
    const { x, y, nx, ny } = stations[closed ? (i + half) % stations.length : i]!;
    return [x + (offset - reach) * nx, y + (offset - reach) * ny];
  });
}

interface Station {
  readonly x: number;
  readonly y: number;
  /** The unit vector to its side. */
  readonly nx: number;
  readonly ny: number;
}

function stationsOf(stroke: readonly Place[], closed: boolean): Station[] {
  const points = Float64Array.from([...stroke, ...(closed ? stroke.slice(0, 1) : [])].flat());
  const lengths = lengthsOf(points);
  const total = lengths.at(-1) ?? 0;
  const count = Math.min(MOST_STATIONS, Math.floor(total / STEP_PX));
  const wrapped = (at: number): number => (closed ? (at + total) % total : Math.min(total, Math.max(0, at)));
  return Array.from({ length: count + (closed ? 0 : 1) }, (_, k) => {
    const at = (total * k) / count;
    const [x, y] = placeOn(points, lengths, at);
    const [ax, ay] = placeOn(points, lengths, wrapped(at - 2 * STEP_PX));
    const [bx, by] = placeOn(points, lengths, wrapped(at + 2 * STEP_PX));
    const length = Math.hypot(bx - ax, by - ay) || 1;
    return { x, y, nx: -(by - ay) / length, ny: (bx - ax) / length };
  });
}

/**
 * The way through rows of gains that gains most, one place in each row, at most one place further over from row to row; moving over
 * costs.
 * @returns the place in each row
 */
export function bestWay(gains: readonly Float64Array[]): number[] {
  const width = gains[0]!.length;
  const from = gains.map(() => new Int8Array(width));
  let sums = gains[0]!.slice();
  for (let row = 1; row < gains.length; row++) {
    const next = new Float64Array(width);
    for (let k = 0; k < width; k++) {
      let [best, move] = [sums[k]!, 0];
      for (const by of [-1, 1]) {
        const sum = (sums[k + by] ?? -Infinity) - COST.move;
        if (sum > best) [best, move] = [sum, by];
      }
      next[k] = best + gains[row]![k]!;
      from[row]![k] = move;
    }
    sums = next;
  }
  let at = sums.indexOf(Math.max(...sums));
  const way = [at];
  for (let row = gains.length - 1; row > 0; row--) way.push((at += from[row]![at]!));
  return way.reverse();
}

/** Colours to the side of a station, `red, green, blue` flat, from the far end of one side to that of the other, half a pixel apart. */
type Profile = Float64Array;

/** Each colour is the mean of some pixels along the stroke, so that the grain of a picture is no edge. */
function profileOf({ width, height, rgba }: Raster, { x, y, nx, ny }: Station, reach: number): Profile {
  const count = 2 * PER_PX * (reach + WIDEST_PX) + 1;
  const profile = new Float64Array(3 * count);
  for (let k = 0; k < count; k++) {
    const by = k / PER_PX - reach - WIDEST_PX;
    for (let along = -ALONG_PX; along <= ALONG_PX; along++) {
      const column = Math.floor(x + by * nx + along * ny);
      const row = Math.floor(y + by * ny - along * nx);
      // Beside the picture lies what is at its edge.
      const at = 4 * (within(row, height) * width + within(column, width));
      for (let channel = 0; channel < 3; channel++) profile[3 * k + channel]! += rgba[at + channel]!;
    }
  }
  return profile.map((sum) => sum / (2 * ALONG_PX + 1));
}

function within(index: number, count: number): number {
  return Math.min(count - 1, Math.max(0, index));
}

/**
 * How clearly an edge or a drawn line runs through the places of a profile within reach: 1 for the clearest, or less where even that is
 * faint; more in the middle of a line.
 */
function clearness(profile: Profile, reach: number): number[] {
  const values = Array.from({ length: 2 * reach + 1 }, (_, k) => {
    const at = (by: number): number => 3 * PER_PX * (k + WIDEST_PX + by);
    const edge = mean(BESIDE_PX.map((by) => contrast(profile, at(-by), at(by))));
    const middle = mean(LINE_MIDDLE_PX.map((by) => light(profile, at(by))));
    const line = mean(
      LINE_HALVES_PX.map((half) => lineContrast(middle, light(profile, at(-half)), light(profile, at(half)))),
    );
    return Math.max(edge, MIDDLE_GAIN * line);
  });
  const clearest = Math.max(CONTRAST.clear, ...values);
  return values.map((value) => Math.max(0, value - CONTRAST.faint) / (clearest - CONTRAST.faint));
}

function contrast(profile: Profile, a: number, b: number): number {
  let sum = 0;
  for (let channel = 0; channel < 3; channel++) sum += (profile[a + channel]! - profile[b + channel]!) ** 2;
  return Math.sqrt(sum / 3);
}

function light(profile: Profile, at: number): number {
  return (profile[at]! + profile[at + 1]! + profile[at + 2]!) / 3;
}

/** How much darker, or paler, the middle is than both its sides. */
function lineContrast(middle: number, a: number, b: number): number {
  const [toA, toB] = [a - middle, b - middle];
  return toA * toB > 0 ? Math.min(Math.abs(toA), Math.abs(toB)) : 0;
}
