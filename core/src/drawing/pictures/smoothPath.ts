import type { Place } from '../../geometry/index.ts';
import { curveCatmullRom, curveCatmullRomClosed, line } from 'd3-shape';
import simplify from 'simplify-js';

/** A turn sharper than this is a corner and stays one, radians. */
const CORNER_RAD = 1.05;
const curve = () =>
  line<Place>(
    ([x]) => x,
    ([, y]) => y,
  );
const openCurve = curve().curve(curveCatmullRom.alpha(0.5));
const closedCurve = curve().curve(curveCatmullRomClosed.alpha(0.5));

/** Runs as one path: each goes on where the one before ended. */
function joined(runs: readonly Place[][]): string {
  return runs.map((run, i) => (openCurve(run) ?? '').replace(i === 0 ? '' : /^M[^A-Z]*/, '')).join('');
}

/**
 * Places along a line as smooth path data: what wobbles by less than a tolerance is left out, the rest is joined by centripetal
 * Catmull-Rom curves that keep sharp corners. Walked the other way the same places give the same curve, so that two
 * shapes which share a line share its curve.
 */
export function smoothPath(points: readonly Place[], tolerance: number): string {
  return joined(runsBetweenCorners(thinned(points, tolerance)));
}

/** A closed line; its first place is not repeated. */
export function smoothRing(points: readonly Place[], tolerance: number): string {
  const start = sharpest(points);
  const turned = [...points.slice(start), ...points.slice(0, start)];
  const thin = thinned([...turned, turned[0]!], tolerance).slice(0, -1);
  if (thin.length < 3) return '';
  const corners = thin.flatMap((_, i) =>
    isCorner(thin.at(i - 1)!, thin[i]!, thin[(i + 1) % thin.length]!) ? [i] : [],
  );
  if (corners.length === 0) return closedCurve(thin) ?? '';
  const first = corners[0]!;
  const round = [...thin.slice(first), ...thin.slice(0, first), thin[first]!];
  return `${joined(runsBetweenCorners(round))}Z`;
}

function thinned(points: readonly Place[], tolerance: number): Place[] {
  const places = points.map(([x, y]) => ({ x, y }));
  return simplify(places, tolerance, true).map(({ x, y }) => [x, y]);
}

/** A line cut at its corners. */
function runsBetweenCorners(points: readonly Place[]): Place[][] {
  const runs: Place[][] = [[points[0]!]];
  for (let i = 1; i < points.length; i++) {
    runs.at(-1)!.push(points[i]!);
    const next = points[i + 1];
    if (next && isCorner(points[i - 1]!, points[i]!, next)) runs.push([points[i]!]);
  }
  return runs;
}

function isCorner(a: Place, b: Place, c: Place): boolean {
  const turn = Math.atan2(c[1] - b[1], c[0] - b[0]) - Math.atan2(b[1] - a[1], b[0] - a[0]);
  return Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn))) > CORNER_RAD;
}

/** A ring is begun where it is farthest from its middle: there a corner is likeliest, and thinning keeps its ends. */
function sharpest(points: readonly Place[]): number {
  const [mx, my] = [0, 1].map((k) => points.reduce((sum, p) => sum + p[k as 0 | 1], 0) / points.length);
  let [best, far] = [0, -1];
  points.forEach(([x, y], i) => {
    const distance = Math.hypot(x - mx!, y - my!);
    if (distance > far) [best, far] = [i, distance];
  });
  return best;
}
