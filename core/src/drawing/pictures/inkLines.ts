import type { Place } from '../../geometry/index.ts';
import { greyOf, type Raster } from './raster.ts';

/** A drawn line as it runs along its middle, in pixels, and how wide it is there on the mean. */
export interface InkLine {
  readonly points: Place[];
  readonly closed: boolean;
  readonly widthPx: number;
}

/** Ink is darker than its surroundings by at least this much of 255. */
const LEAST_CONTRAST = 14;

/**
 * Which pixels are ink: darker than the mean of their surroundings (after Bradley and Roth 2007, so that shadows on a photographed
 * page do no harm) and on the dark side of the whole picture.
 * @param darkness 0 takes only the darkest lines, 1 the faintest too
 */
export function inkOf(raster: Raster, darkness: number): Uint8Array {
  const { width, height } = raster;
  const grey = greyOf(raster);
  const sums = new Float64Array((width + 1) * (height + 1));
  for (let y = 0; y < height; y++) {
    let row = 0;
    for (let x = 0; x < width; x++) {
      row += grey[y * width + x]!;
      sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1]! + row;
    }
  }
  const reach = Math.max(8, Math.round(Math.max(width, height) / 12));
  const whole = sums.at(-1)! / (width * height);
  const share = 0.72 + 0.24 * darkness;
  const ink = new Uint8Array(width * height);
  for (let y = 0; y < height; y++) {
    const [top, bottom] = [Math.max(0, y - reach), Math.min(height, y + reach + 1)];
    for (let x = 0; x < width; x++) {
      const [left, right] = [Math.max(0, x - reach), Math.min(width, x + reach + 1)];
      const sum =
        sums[bottom * (width + 1) + right]! -
        sums[top * (width + 1) + right]! -
        sums[bottom * (width + 1) + left]! +
        sums[top * (width + 1) + left]!;
      const mean = sum / ((bottom - top) * (right - left));
      const value = grey[y * width + x]!;
      const isDarker = value < mean * share && mean - value > LEAST_CONTRAST * (1.5 - darkness);
      // Within a broad black area the surroundings are black too.
      ink[y * width + x] = isDarker || value < whole * 0.35 ? 1 : 0;
    }
  }
  return ink;
}

/** The lines along the middle of ink: thinned to one pixel (Zhang and Suen 1984), followed, joined where they run straight on. */
export function inkLines(ink: Uint8Array, width: number, height: number): InkLine[] {
  const depth = depthOf(ink, width, height);
  const thin = thinnedInk(ink, width, height);
  const pieces = prune(follow(thin, width), depth, width);
  return joinStraight(pieces).map(({ points, closed }) => ({
    points,
    closed,
    widthPx:
      (2 * points.reduce((sum, [x, y]) => sum + depth[Math.floor(y) * width + Math.floor(x)]!, 0)) / points.length,
  }));
}

/** How deep in the ink each pixel lies, by two sweeps of the 3-4 chamfer (Borgefors 1986). */
function depthOf(ink: Uint8Array, width: number, height: number): Float32Array {
  const depth = Float32Array.from(ink, (value) => (value ? 1e6 : 0));
  const near = (at: number, ok: boolean, step: number, now: number): number =>
    ok ? Math.min(now, depth[at]! + step) : Math.min(now, step);
  const [side, slant] = [1, 4 / 3];
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const at = y * width + x;
      if (!depth[at]) continue;
      let d = near(at - 1, x > 0, side, depth[at]!);
      d = near(at - width, y > 0, side, d);
      d = near(at - width - 1, x > 0 && y > 0, slant, d);
      depth[at] = near(at - width + 1, x < width - 1 && y > 0, slant, d);
    }
  }
  for (let y = height - 1; y >= 0; y--) {
    for (let x = width - 1; x >= 0; x--) {
      const at = y * width + x;
      if (!depth[at]) continue;
      let d = near(at + 1, x < width - 1, side, depth[at]!);
      d = near(at + width, y < height - 1, side, d);
      d = near(at + width + 1, x < width - 1 && y < height - 1, slant, d);
      depth[at] = near(at + width - 1, x > 0 && y < height - 1, slant, d);
    }
  }
  return depth;
}

/** The eight neighbours of a pixel, clockwise from the top. */
const RING: readonly Place[] = [
  [0, -1],
  [1, -1],
  [1, 0],
  [1, 1],
  [0, 1],
  [-1, 1],
  [-1, 0],
  [-1, -1],
];

function thinnedInk(ink: Uint8Array, width: number, height: number): Uint8Array {
  const thin = Uint8Array.from(ink);
  for (let x = 0; x < width; x++) thin[x] = thin[(height - 1) * width + x] = 0;
  for (let y = 0; y < height; y++) thin[y * width] = thin[y * width + width - 1] = 0;
  const offsets = RING.map(([dx, dy]) => dy * width + dx);
  let alive = [...thin.keys()].filter((at) => thin[at]);
  for (let changed = true; changed;) {
    changed = false;
    for (const phase of [0, 1]) {
      const gone = alive.filter((at) => canGo(thin, at, offsets, phase));
      for (const at of gone) thin[at] = 0;
      changed ||= gone.length > 0;
      if (gone.length > 0) alive = alive.filter((at) => thin[at]);
    }
  }
  return thin;
}

function canGo(thin: Uint8Array, at: number, offsets: readonly number[], phase: number): boolean {
  const p = (k: number): number => thin[at + offsets[k % 8]!]!;
  let [count, turns] = [0, 0];
  for (let k = 0; k < 8; k++) {
    count += p(k);
    if (!p(k) && p(k + 1)) turns++;
  }
  if (count < 2 || count > 6 || turns !== 1) return false;
  return phase === 0 ? !(p(0) * p(2) * p(4)) && !(p(2) * p(4) * p(6)) : !(p(0) * p(2) * p(6)) && !(p(0) * p(4) * p(6));
}

interface Piece {
  readonly points: Place[];
  readonly closed: boolean;
  /** Whether its ends are free; where not, other lines meet it. */
  readonly free: readonly [boolean, boolean];
}

/** Runs of pixels between ends and crossings, then rings that have neither. */
function follow(thin: Uint8Array, width: number): Piece[] {
  const walked = new Uint8Array(thin.length);
  const neighbours = (at: number): number[] => {
    const found = RING.map(([dx, dy]) => at + dy * width + dx).filter((next) => thin[next]);
    // A neighbour over a corner is none where one beside it leads there.
    return found.filter((next) => {
      const [dx, dy] = [(next % width) - (at % width), Math.floor(next / width) - Math.floor(at / width)];
      return dx === 0 || dy === 0 || !(thin[at + dx] || thin[at + dy * width]);
    });
  };
  const centre = (at: number): Place => [(at % width) + 0.5, Math.floor(at / width) + 0.5];
  const pieces: Piece[] = [];
  const isNode = (at: number): boolean => neighbours(at).length !== 2;
  const pixels = [...thin.keys()].filter((at) => thin[at]);
  const edges = new Set<string>();
  for (const start of pixels.filter(isNode)) {
    walked[start] = 1;
    for (const first of neighbours(start)) {
      if (edges.has(`${start},${first}`)) continue;
      const points = [centre(start)];
      let [before, at] = [start, first];
      for (;;) {
        points.push(centre(at));
        if (isNode(at)) break;
        walked[at] = 1;
        const next = neighbours(at).find((other) => other !== before);
        if (next === undefined) break;
        [before, at] = [at, next];
      }
      edges.add(`${at},${before}`);
      pieces.push({ points, closed: false, free: [neighbours(start).length < 2, neighbours(at).length < 2] });
    }
  }
  for (const start of pixels) {
    if (walked[start]) continue;
    const points: Place[] = [];
    let [before, at] = [-1, start];
    while (!walked[at]) {
      walked[at] = 1;
      points.push(centre(at));
      const next = neighbours(at).find((other) => other !== before && (!walked[other] || other === start));
      if (next === undefined) break;
      [before, at] = [at, next];
    }
    if (points.length > 2) pieces.push({ points, closed: true, free: [false, false] });
  }
  return pieces;
}

/** Hairs that thinning leaves at the side of a broad line are no lines of their own. */
function prune(pieces: readonly Piece[], depth: Float32Array, width: number): Piece[] {
  return pieces.filter(({ points, closed, free }) => {
    if (closed) return points.length > 8;
    if (!free[0] && !free[1]) return points.length > 1;
    const deepest = Math.max(...points.map(([x, y]) => depth[Math.floor(y) * width + Math.floor(x)]!));
    return points.length > (free[0] && free[1] ? 3 : 2.2 * deepest + 2);
  });
}

/** Two lines that meet run on as one where they turn by less than this, radians. */
const STRAIGHT_RAD = 0.7;
const TANGENT_PX = 8;

function joinStraight(pieces: readonly Piece[]): { points: Place[]; closed: boolean }[] {
  const lines = pieces.map(({ points, closed }) => ({ points: [...points], closed, isGone: false }));
  const key = ([x, y]: Place): string => `${x},${y}`;
  const meetings = new Set(lines.filter((l) => !l.closed).flatMap((l) => [key(l.points[0]!), key(l.points.at(-1)!)]));
  for (const place of meetings) {
    for (;;) {
      const ends = lines.flatMap((entry) => {
        if (entry.isGone || entry.closed) return [];
        const found: { entry: typeof entry; atStart: boolean; away: number }[] = [];
        if (key(entry.points[0]!) === place) found.push({ entry, atStart: true, away: headingFrom(entry.points) });
        if (key(entry.points.at(-1)!) === place) {
          found.push({ entry, atStart: false, away: headingFrom([...entry.points].reverse()) });
        }
        return found;
      });
      let best: { a: (typeof ends)[number]; b: (typeof ends)[number]; turn: number } | null = null;
      ends.forEach((a, i) => {
        for (const b of ends.slice(i + 1)) {
          const turn = Math.abs(Math.atan2(Math.sin(a.away - b.away - Math.PI), Math.cos(a.away - b.away - Math.PI)));
          if (turn < (best?.turn ?? STRAIGHT_RAD)) best = { a, b, turn };
        }
      });
      const chosen = best as { a: (typeof ends)[number]; b: (typeof ends)[number] } | null;
      if (!chosen) break;
      const { a, b } = chosen;
      if (a.entry === b.entry) {
        a.entry.points.pop();
        a.entry.closed = true;
        continue;
      }
      const into = a.atStart ? [...a.entry.points].reverse() : a.entry.points;
      const onward = b.atStart ? b.entry.points : [...b.entry.points].reverse();
      a.entry.points = [...into, ...onward.slice(1)];
      b.entry.isGone = true;
    }
  }
  return lines.filter((entry) => !entry.isGone);
}

function headingFrom(points: readonly Place[]): number {
  const [from, to] = [points[0]!, points[Math.min(TANGENT_PX, points.length - 1)]!];
  return Math.atan2(to[1] - from[1], to[0] - from[0]);
}
