import { segmentsOf, placeAt } from './points.ts';
import { Delaunay } from 'd3-delaunay';
import { mean, valueOf } from '../measure/index.ts';
import { lengthsOf, placeOn } from './alongPolyline.ts';
import { distanceToOutline, reachInside } from './outline.ts';
import { isInside, regionArea, regionPerimeter, ringArea, type Point, type Polyline, type Region } from './shapes.ts';
import { simplifyRegion } from './simplify.ts';

/**
 * The line along the middle of a shape, from the end where it is wider to the one towards which it narrows, and how wide the
 * shape is at each of its points.
 */
export interface MiddleLine extends Polyline {
  /** The local width (mm) at each point: twice the distance to the outline. */
  readonly widthsMm: Float64Array;
  /**
   * The lines along the middle of all that the shape is made of, where it is more than one strip from end to end: the rings and
   * strokes of a ring, a Y, a letter. Empty where this one line is all.
   */
  readonly branches: readonly Polyline[];
}

/** A branch that leaves less outline than this beside its chord is a wobble of the outline, as a share of the mean width. */
const WOBBLE = 0.35;
/** Corners nearer than this to the outline without them tell nothing of its middle, mm. */
const FINE_WOBBLE_MM = 0.02;
const FEWEST_SAMPLES = 60;
const MOST_SAMPLES = 420;
/** The outline is sampled this many times over its mean width. */
const PER_WIDTH = 8;
const SMOOTHINGS = 6;
const POINTS = 48;

/**
 * The middle line of a region's largest outline: Voronoi corners of its sampled boundary, pruned, the longest path through
 * what is left, drawn out to the outline at both ends (medial axis; Attali and Montanvert 1997). Null where there is none.
 */
export function middleLine(region: Region): MiddleLine | null {
  const rings = largest(simplifyRegion(region, FINE_WOBBLE_MM));
  if (rings.length === 0) return null;
  const perimeter = regionPerimeter(rings);
  const widthMm = (2 * regionArea(rings)) / perimeter;
  if (!(widthMm > 1e-3)) return null;
  const step = perimeter / Math.min(MOST_SAMPLES, Math.max(FEWEST_SAMPLES, (perimeter / widthMm) * PER_WIDTH));
  const samples = sampled(rings, step);
  const tree = medialAxis(rings, samples, WOBBLE * widthMm);
  const path = longestPath(tree);
  if (path.length < 2) return null;
  const points = path.map((node) => tree.places[node]!);
  const ends = drawnOut(points, rings, widthMm);
  return { ...finished(ends, rings), branches: branchesOf(tree, path, rings, widthMm) };
}

/** The largest outline of a region with the holes in it. */
function largest(region: Region): Region {
  const turn = Math.sign(region.reduce((sum, ring) => sum + ringArea(ring), 0)) || 1;
  const outlines = region.filter((ring) => ringArea(ring) * turn > 0);
  if (outlines.length === 0) return [];
  const outline = outlines.reduce((a, b) => (Math.abs(ringArea(b)) > Math.abs(ringArea(a)) ? b : a));
  const holes = region.filter((ring) => ringArea(ring) * turn < 0 && isInside([outline], ...placeAt(ring, 0)));
  return [outline, ...holes];
}

interface Samples {
  readonly points: Float64Array;
  readonly ring: Int32Array;
  /** Length along its ring to each sample, and of each ring. */
  readonly at: Float64Array;
  readonly ringMm: readonly number[];
}

function sampled(rings: Region, step: number): Samples {
  const points: number[] = [];
  const ring: number[] = [];
  const at: number[] = [];
  const ringMm: number[] = [];
  rings.forEach((corners, r) => {
    let [length, next] = [0, 0];
    for (const [[ax, ay], [bx, by]] of segmentsOf({ points: corners, closed: true })) {
      const edge = Math.hypot(bx - ax, by - ay);
      for (; next < length + edge; next += step) {
        const share = (next - length) / edge;
        points.push(ax + share * (bx - ax), ay + share * (by - ay));
        ring.push(r);
        at.push(next);
      }
      length += edge;
    }
    ringMm.push(length);
  });
  return { points: Float64Array.from(points), ring: Int32Array.from(ring), at: Float64Array.from(at), ringMm };
}

interface Axis {
  readonly places: readonly Point[];
  readonly links: readonly (readonly { readonly to: number; readonly mm: number }[])[];
}

function medialAxis(rings: Region, { points, ring, at, ringMm }: Samples, wobbleMm: number): Axis {
  // The triangulation rewrites its points when they lie in a row: it gets its own.
  const { triangles, halfedges } = new Delaunay(points.slice());
  const count = triangles.length / 3;
  const places = Array.from({ length: count }, (_, t) => circumcentre(points, triangles, t));
  const inside = places.map(({ x, y }) => Number.isFinite(x + y) && isInside(rings, x, y));
  const links: { to: number; mm: number }[][] = places.map(() => []);
  for (let e = 0; e < halfedges.length; e++) {
    const twin = halfedges[e]!;
    if (twin < e) continue;
    const [a, b] = [Math.floor(e / 3), Math.floor(twin / 3)];
    if (!inside[a] || !inside[b]) continue;
    const [p, q] = [triangles[e]!, triangles[e % 3 === 2 ? e - 2 : e + 1]!];
    const chord = Math.hypot(points[2 * p]! - points[2 * q]!, points[2 * p + 1]! - points[2 * q + 1]!);
    const apart = Math.abs(at[p]! - at[q]!);
    const along = ring[p] === ring[q] ? Math.min(apart, ringMm[ring[p]!]! - apart) : Infinity;
    if (along - chord < wobbleMm) continue;
    const mm = Math.hypot(places[a]!.x - places[b]!.x, places[a]!.y - places[b]!.y);
    links[a]!.push({ to: b, mm });
    links[b]!.push({ to: a, mm });
  }
  if (links.every((list) => list.length === 0)) return widestPlaces(places, inside);
  return { places, links };
}

/** A shape as round as a coin has no axis: its middle stands for it, drawn out to either side later. */
function widestPlaces(places: readonly Point[], inside: readonly boolean[]): Axis {
  const kept = places.filter((_, i) => inside[i]);
  const middle = { x: mean(kept.map(({ x }) => x)), y: mean(kept.map(({ y }) => y)) };
  const near = { x: middle.x, y: middle.y - 1e-3 };
  return kept.length === 0
    ? { places: [], links: [] }
    : { places: [middle, near], links: [[{ to: 1, mm: 1e-3 }], [{ to: 0, mm: 1e-3 }]] };
}

function circumcentre(points: Float64Array, triangles: Uint32Array, t: number): Point {
  const at = (k: number): [number, number] => [
    points[2 * triangles[3 * t + k]!]!,
    points[2 * triangles[3 * t + k]! + 1]!,
  ];
  const [ax, ay] = at(0);
  const [bx, by] = at(1).map((value, k) => value - (k ? ay : ax)) as [number, number];
  const [cx, cy] = at(2).map((value, k) => value - (k ? ay : ax)) as [number, number];
  const d = 2 * (bx * cy - by * cx);
  const [b2, c2] = [bx * bx + by * by, cx * cx + cy * cy];
  return { x: ax + (cy * b2 - by * c2) / d, y: ay + (bx * c2 - cx * b2) / d };
}

/** The longest of all shortest paths of the axis, found by walking twice to the farthest node of its largest piece. */
function longestPath({ places, links }: Axis): number[] {
  let best: number[] = [];
  let bestMm = -1;
  const seen = new Uint8Array(places.length);
  for (let start = 0; start < places.length; start++) {
    if (seen[start] || links[start]!.length === 0) continue;
    const first = farthest(links, start);
    for (const node of first.reached) seen[node] = 1;
    const second = farthest(links, first.node);
    if (second.mm > bestMm) [best, bestMm] = [second.path, second.mm];
  }
  return best;
}

function farthest(
  links: Axis['links'],
  start: number,
): { node: number; mm: number; path: number[]; reached: number[] } {
  const mm = new Map<number, number>([[start, 0]]);
  const from = new Map<number, number>();
  const queue = [start];
  while (queue.length > 0) {
    const node = queue.shift()!;
    for (const link of links[node]!) {
      const way = valueOf(mm, node) + link.mm;
      if (way >= (mm.get(link.to) ?? Infinity) - 1e-12) continue;
      mm.set(link.to, way);
      from.set(link.to, node);
      queue.push(link.to);
    }
  }
  const node = [...mm].reduce((a, b) => (b[1] > a[1] ? b : a))[0];
  const path = [node];
  for (let at = from.get(node); at !== undefined; at = from.get(at)) path.push(at);
  return { node, mm: valueOf(mm, node), path, reached: [...mm.keys()] };
}

/** An end that is shorter than this many times the width there only runs into a corner, or round the end of a stroke. */
const SPUR = 0.9;
/** What is left beside the longest path is a branch from this share of the width on. */
const LEAST_BRANCH = 1;
/** Points of a branch for each width of the shape. */
const BRANCH_POINTS = 3;

/** The chains of an axis between its forks and ends, without those that only run into corners; none where it is one open line. */
function branchesOf(axis: Axis, path: readonly number[], rings: Region, widthMm: number): Polyline[] {
  const links = axis.links.map((list) => new Map(list.map(({ to, mm }) => [to, mm])));
  const piece = new Set(farthest(axis.links, path[0]!).reached);
  links.forEach((list, node) => {
    if (!piece.has(node)) list.clear();
  });
  // Cutting one end off can make another chain an end: until nothing changes.
  for (let isCut = true; isCut;) {
    isCut = false;
    for (const chain of chainsOf(links)) {
      const [first, last] = [chain[0]!, chain.at(-1)!];
      const fork = links[first]!.size > 2 ? first : links[last]!.size > 2 ? last : null;
      const isEnd = links[first]!.size === 1 || links[last]!.size === 1;
      if (fork === null || !isEnd) continue;
      const { x, y } = axis.places[fork]!;
      if (lengthAlong(chain, links) > SPUR * 2 * distanceToOutline(rings, x, y)) continue;
      for (let i = 1; i < chain.length; i++) {
        links[chain[i - 1]!]!.delete(chain[i]!);
        links[chain[i]!]!.delete(chain[i - 1]!);
      }
      isCut = true;
      break;
    }
  }
  const chains = chainsOf(links).filter((chain) => lengthAlong(chain, links) > LEAST_BRANCH * widthMm);
  if (chains.length === 0 || (chains.length === 1 && chains[0]![0] !== chains[0]!.at(-1))) return [];
  return chains.map((chain) => branch(chain, axis.places, links, rings, widthMm));
}

/** All ways from fork or end to fork or end; and rings without either, which end where they begin. */
function chainsOf(links: readonly ReadonlyMap<number, number>[]): number[][] {
  const chains: number[][] = [];
  const walked = new Set<string>();
  const key = (a: number, b: number): string => (a < b ? `${a} ${b}` : `${b} ${a}`);
  const walk = (from: number, to: number): void => {
    if (walked.has(key(from, to))) return;
    const chain = [from, to];
    walked.add(key(from, to));
    for (let at = to; links[at]!.size === 2 && at !== from;) {
      const next = [...links[at]!.keys()].find((node) => !walked.has(key(at, node)));
      if (next === undefined) break;
      walked.add(key(at, next));
      chain.push(next);
      at = next;
    }
    chains.push(chain);
  };
  links.forEach((list, node) => {
    if (list.size !== 2) for (const to of list.keys()) walk(node, to);
  });
  links.forEach((list, node) => {
    if (list.size === 2) for (const to of list.keys()) walk(node, to);
  });
  return chains;
}

function lengthAlong(chain: readonly number[], links: readonly ReadonlyMap<number, number>[]): number {
  return chain.slice(1).reduce((sum, node, i) => sum + (links[chain[i]!]!.get(node) ?? 0), 0);
}

/** A chain as a smooth line, its free ends drawn out to the outline. */
function branch(
  chain: readonly number[],
  places: readonly Point[],
  links: readonly ReadonlyMap<number, number>[],
  rings: Region,
  widthMm: number,
): Polyline {
  const closed = chain[0] === chain.at(-1);
  const count = Math.min(400, Math.max(8, Math.ceil((lengthAlong(chain, links) / widthMm) * BRANCH_POINTS)));
  let line = chain.map((node) => places[node]!);
  if (!closed) {
    const [fromEnd, toEnd] = [links[chain[0]!]!.size === 1, links[chain.at(-1)!]!.size === 1];
    const out = drawnOut(line, rings, widthMm);
    line = [...(fromEnd ? [out[0]!] : []), ...line, ...(toEnd ? [out.at(-1)!] : [])];
  }
  const even = smoothed(evenly(line, count), SMOOTHINGS, closed);
  const kept = closed ? even.slice(0, -1) : even;
  return { points: Float64Array.from(kept.flatMap(({ x, y }) => [x, y])), closed };
}

/** Each point drawn towards the middle of its neighbours; the ends stay, but for a ring. */
function smoothed(points: readonly Point[], times: number, closed: boolean): Point[] {
  let line = [...points];
  const count = line.length;
  for (let i = 0; i < times; i++) {
    line = line.map((p, k) => {
      const isEnd = k === 0 || k === count - 1;
      if (isEnd && !closed) return p;
      const [a, b] = [line[k === 0 ? count - 2 : k - 1]!, line[k === count - 1 ? 1 : k + 1]!];
      return { x: (a.x + 2 * p.x + b.x) / 4, y: (a.y + 2 * p.y + b.y) / 4 };
    });
  }
  return line;
}

/** The axis stops short of the tips by about a radius: both ends go on to the outline. */
function drawnOut(points: readonly Point[], rings: Region, widthMm: number): Point[] {
  const line = [...points];
  for (let end = 0; end < 2; end++) {
    const tip = line.at(-1)!;
    // Far enough back to know where the line is heading, whatever the last few corners do.
    const back = [...line].reverse().find((p) => Math.hypot(p.x - tip.x, p.y - tip.y) > widthMm / 2) ?? line[0]!;
    const length = Math.hypot(tip.x - back.x, tip.y - back.y) || 1;
    const reach = reachInside(rings, tip.x, tip.y, (tip.x - back.x) / length, (tip.y - back.y) / length);
    if (reach > 1e-6)
      line.push({ x: tip.x + ((tip.x - back.x) / length) * reach, y: tip.y + ((tip.y - back.y) / length) * reach });
    line.reverse();
  }
  return line;
}

/** Evenly spaced, smoothed between its ends, and measured. */
function finished(points: readonly Point[], rings: Region): Omit<MiddleLine, 'branches'> {
  let even = smoothed(evenly(points, POINTS), SMOOTHINGS, false);
  let widths = even.map(({ x, y }) => 2 * distanceToOutline(rings, x, y));
  const quarter = Math.ceil(POINTS / 4);
  const sum = (part: readonly number[]): number => part.reduce((total, width) => total + width, 0);
  if (sum(widths.slice(0, quarter)) < sum(widths.slice(-quarter)) * 0.98) {
    even = [...even].reverse();
    widths = [...widths].reverse();
  }
  return {
    points: Float64Array.from(even.flatMap(({ x, y }) => [x, y])),
    closed: false,
    widthsMm: Float64Array.from(widths),
  };
}

function evenly(points: readonly Point[], count: number): Point[] {
  const flat = Float64Array.from(points.flatMap(({ x, y }) => [x, y]));
  const lengths = lengthsOf(flat);
  return Array.from({ length: count }, (_, k) => {
    const [x, y] = placeOn(flat, lengths, (lengths.at(-1)! * k) / (count - 1));
    return { x, y };
  });
}
