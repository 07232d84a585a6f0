import { curveCatmullRom, curveCatmullRomClosed, line } from 'd3-shape';
import simplify from 'simplify-js';

export type XY = [x: number, y: number];

/** A turn sharper than this is a corner and stays one, radians. */
const CORNER_RAD = 1.05;
const open = line().curve(curveCatmullRom.alpha(0.5));
const closedCurve = line().curve(curveCatmullRomClosed.alpha(0.5));

/**
 * Places along a line as smooth path data: what wobbles by less than a tolerance is left out, the rest is joined by centripetal
 * Catmull-Rom curves that keep sharp corners. Walked the other way the same places give the same curve, so that two
 * shapes which share a line share its curve.
 */
export function smoothPath(points: readonly XY[], tolerance: number): string {
  return runsBetweenCorners(thinned(points, tolerance))
    .map((run, i) => (i === 0 ? open(run)! : open(run)!.replace(/^M[^A-Z]*/, '')))
    .join('');
}

/** A closed line; its first place is not repeated. */
export function smoothRing(points: readonly XY[], tolerance: number): string {
  const start = sharpest(points);
  const turned = [...points.slice(start), ...points.slice(0, start)];
  const thin = thinned([...turned, turned[0]!], tolerance).slice(0, -1);
  if (thin.length < 3) return '';
  const corners = thin.flatMap((_, i) =>
    isCorner(thin.at(i - 1)!, thin[i]!, thin[(i + 1) % thin.length]!) ? [i] : [],
  );
  if (corners.length === 0) return `${closedCurve(thin)!}`;
  const first = corners[0]!;
  const round = [...thin.slice(first), ...thin.slice(0, first), thin[first]!];
  const runs = runsBetweenCorners(round);
  return `${runs.map((run, i) => (i === 0 ? open(run)! : open(run)!.replace(/^M[^A-Z]*/, ''))).join('')}Z`;
}

function thinned(points: readonly XY[], tolerance: number): XY[] {
  const places = points.map(([x, y]) => ({ x, y }));
  return simplify(places, tolerance, true).map(({ x, y }) => [x, y]);
}

/** A line cut at its corners. */
function runsBetweenCorners(points: readonly XY[]): XY[][] {
  const runs: XY[][] = [[points[0]!]];
  for (let i = 1; i < points.length; i++) {
    runs.at(-1)!.push(points[i]!);
    const next = points[i + 1];
    if (next && isCorner(points[i - 1]!, points[i]!, next)) runs.push([points[i]!]);
  }
  return runs;
}

function isCorner(a: XY, b: XY, c: XY): boolean {
  const turn = Math.atan2(c[1] - b[1], c[0] - b[0]) - Math.atan2(b[1] - a[1], b[0] - a[0]);
  return Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn))) > CORNER_RAD;
}

/** A ring is begun where it is farthest from its middle: there a corner is likeliest, and thinning keeps its ends. */
function sharpest(points: readonly XY[]): number {
  const [mx, my] = [0, 1].map((k) => points.reduce((sum, p) => sum + p[k as 0 | 1], 0) / points.length);
  let [best, far] = [0, -1];
  points.forEach(([x, y], i) => {
    const distance = Math.hypot(x - mx!, y - my!);
    if (distance > far) [best, far] = [i, distance];
  });
  return best;
}
