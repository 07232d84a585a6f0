import type { Region } from './shapes.ts';

/**
 * A piece of a region in which every scanline meets exactly one stretch: bounded by one falling chain of edges on
 * either side. `topV` and `bottomV` are measured across the scanlines.
 */
export interface ScanCell {
  readonly topV: number;
  readonly bottomV: number;
  /** Corner chains `u0, v0, u1, v1, …` with rising v. */
  readonly left: Float64Array;
  readonly right: Float64Array;
}

/** The frame in which stitches lie along u and follow each other along v. */
export interface ScanFrame {
  /** Cosine and sine of the stitches' direction as stored, with y downwards. */
  readonly ux: number;
  readonly uy: number;
}

/** @param angleRad the direction of the stitches from the x axis, anticlockwise as seen */
export function scanFrame(angleRad: number): ScanFrame {
  return { ux: Math.cos(angleRad), uy: -Math.sin(angleRad) };
}

interface Chain {
  readonly points: Float64Array;
  readonly topV: number;
  readonly bottomV: number;
}

/** Edges that rise less than this (mm) are level. */
const SAME_V = 1e-9;
/** Turns of the outline that are nearer to each other than this (mm) across the scanlines are taken as one. */
const THINNEST_SLAB = 0.004;

/**
 * Divides a region into cells for a direction of stitches, by sweeping a line over it: wherever the outline turns,
 * a stretch begins, ends, splits or joins. Exact for any polygon with holes.
 * Cells come in the order of their tops.
 */
export function scanCells(region: Region, frame: ScanFrame): ScanCell[] {
  const chains = region.flatMap((ring) => fallingChains(turned(ring, frame)));
  chains.sort((a, b) => a.topV - b.topV);
  const events = eventsOf(chains);
  const cells: ScanCell[] = [];
  let open = new Map<Chain, { right: Chain; topV: number }>();
  let active: Chain[] = [];
  let nextChain = 0;
  for (let i = 0; i + 1 < events.length; i++) {
    const [from, to] = [events[i]!, events[i + 1]!];
    const middle = (from + to) / 2;
    while (nextChain < chains.length && chains[nextChain]!.topV < middle) active.push(chains[nextChain++]!);
    active = active.filter((chain) => chain.bottomV > middle);
    const order = active.map((chain) => ({ chain, u: chainAt(chain.points, middle) }));
    order.sort((a, b) => a.u - b.u);
    const now = new Map<Chain, { right: Chain; topV: number }>();
    for (let j = 0; j + 1 < order.length; j += 2) {
      const [left, right] = [order[j]!.chain, order[j + 1]!.chain];
      const before = open.get(left);
      const goesOn = before?.right === right;
      now.set(left, goesOn ? before : { right, topV: from });
      if (goesOn) open.delete(left);
    }
    for (const [left, { right, topV }] of open) cells.push(makeCell(left, right, topV, from));
    open = now;
  }
  const end = events.at(-1) ?? 0;
  for (const [left, { right, topV }] of open) cells.push(makeCell(left, right, topV, end));
  return cells.sort((a, b) => a.topV - b.topV);
}

/** Where chains begin or end, from top to bottom; what is too near to the last is taken with it. */
function eventsOf(chains: readonly Chain[]): number[] {
  const all = chains.flatMap((chain) => [chain.topV, chain.bottomV]).sort((a, b) => a - b);
  const events: number[] = [];
  for (const v of all) if (events.length === 0 || v - events.at(-1)! >= THINNEST_SLAB) events.push(v);
  const last = all.at(-1);
  if (events.length > 1 && last !== undefined) events[events.length - 1] = last;
  return events;
}

function makeCell(left: Chain, right: Chain, topV: number, bottomV: number): ScanCell {
  return { topV, bottomV, left: left.points, right: right.points };
}

function turned(ring: Float64Array, { ux, uy }: ScanFrame): Float64Array {
  const out = new Float64Array(ring.length);
  for (let i = 0; i < ring.length; i += 2) {
    const x = ring[i]!;
    const y = ring[i + 1]!;
    out[i] = x * ux + y * uy;
    out[i + 1] = y * ux - x * uy;
  }
  return out;
}

/** Cuts a ring (in u, v) at its turning points into chains along which v rises; level edges belong to none. */
function fallingChains(ring: Float64Array): Chain[] {
  const count = ring.length / 2;
  const v = (i: number): number => ring[2 * (((i % count) + count) % count) + 1]!;
  const direction = (i: number): number => {
    const step = v(i + 1) - v(i);
    return Math.abs(step) < SAME_V ? 0 : Math.sign(step);
  };
  const chains: Chain[] = [];
  let start = 0;
  while (start < count && (direction(start) === 0 || direction(start) === direction(start - 1))) start++;
  if (start === count) return chains;
  for (let done = 0; done < count;) {
    const way = direction(start + done);
    let length = 1;
    while (done + length < count && direction(start + done + length) === way) length++;
    if (way !== 0) chains.push(chainOf(ring, start + done, length, way));
    done += length;
  }
  return chains;
}

function chainOf(ring: Float64Array, first: number, edges: number, way: number): Chain {
  const count = ring.length / 2;
  const points = new Float64Array((edges + 1) * 2);
  for (let i = 0; i <= edges; i++) {
    const from = (first + (way > 0 ? i : edges - i)) % count;
    points[2 * i] = ring[2 * from]!;
    points[2 * i + 1] = ring[2 * from + 1]!;
  }
  return { points, topV: points[1]!, bottomV: points[points.length - 1]! };
}

function chainAt(points: Float64Array, v: number): number {
  let low = 0;
  let high = points.length / 2 - 1;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (points[2 * middle + 1]! <= v) low = middle;
    else high = middle;
  }
  return between(points, low, v);
}

function between(points: Float64Array, edge: number, v: number): number {
  const u0 = points[2 * edge]!;
  const v0 = points[2 * edge + 1]!;
  const rise = points[2 * edge + 3]! - v0;
  return rise <= 0 ? u0 : u0 + ((points[2 * edge + 2]! - u0) * (v - v0)) / rise;
}

/**
 * The rows of a cell: `u0, u1, v` for each, from top to bottom, half a pitch in from either end, the pitch adjusted so
 * that the first and last rows lie evenly at the edges.
 * @param pitchMm the distance wanted between rows
 * @returns an empty array where the cell is too low for a row of its own
 */
export function cellRows(cell: ScanCell, pitchMm: number, mustHaveOne: boolean): Float64Array {
  const height = cell.bottomV - cell.topV;
  const count = rowCount(height, pitchMm, mustHaveOne);
  const pitch = height / Math.max(1, count);
  const rows = new Float64Array(count * 3);
  let [leftEdge, rightEdge] = [0, 0];
  const lastLeft = cell.left.length / 2 - 2;
  const lastRight = cell.right.length / 2 - 2;
  for (let i = 0; i < count; i++) {
    const v = cell.topV + (i + 0.5) * pitch;
    while (leftEdge < lastLeft && cell.left[2 * leftEdge + 3]! < v) leftEdge++;
    while (rightEdge < lastRight && cell.right[2 * rightEdge + 3]! < v) rightEdge++;
    rows[3 * i] = between(cell.left, leftEdge, v);
    rows[3 * i + 1] = between(cell.right, rightEdge, v);
    rows[3 * i + 2] = v;
  }
  return rows;
}

/** A low cell takes one row more rather than leave a gap of more than this share of the pitch. */
const WIDEST_PITCH = 1.08;
/** A cell lower than this share of the pitch is covered by its neighbours' rows. */
const LOWEST_CELL = 0.35;

function rowCount(height: number, pitch: number, mustHaveOne: boolean): number {
  if (height < LOWEST_CELL * pitch) return mustHaveOne ? 1 : 0;
  return Math.max(1, Math.round(height / pitch), Math.ceil(height / (pitch * WIDEST_PITCH)));
}
