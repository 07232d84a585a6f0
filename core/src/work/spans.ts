import { segmentsOf, type Place, type Polyline } from '../geometry/index.ts';
import { stage } from '../measure/index.ts';
import { Move, type StitchPath } from '../stitches/index.ts';
import type { PlannedPass } from './plannedPart.ts';

/** A pass, and the layers along the middle that are worked over it and hold its stitches down. */
interface Tied extends Pick<PlannedPass, 'path'> {
  readonly ties: readonly StitchPath[];
}

export const LONGEST_FRONT_RUN = stage<Tied>()('longest run on the front', ['path', 'ties'], ({ path, ties }) =>
  longestFreeRun(path, ties.map(lineOf)),
);

/** The longest straight stretch of thread that lies free on top, mm. @param ties lines that hold down what they cross */
export function longestFreeRun(path: StitchPath, ties: readonly Polyline[]): number {
  const segments = ties.flatMap((line) => [...segmentsOf(line)]);
  let longest = 0;
  for (let i = 1; i < path.codes.length; i++) {
    if (path.codes[i] !== Move.down || path.codes[i - 1] !== Move.up) continue;
    const from: Place = [path.xy[2 * i - 2]!, path.xy[2 * i - 1]!];
    const to: Place = [path.xy[2 * i]!, path.xy[2 * i + 1]!];
    const run = Math.hypot(to[0] - from[0], to[1] - from[1]);
    if (run > longest) longest = Math.max(longest, run * freeShare(from, to, segments));
  }
  return longest;
}

/** The largest share of a run that lies between its ends and the lines that cross it. */
function freeShare(from: Place, to: Place, segments: readonly (readonly [Place, Place])[]): number {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const crossings = segments.flatMap(([[ax, ay], [bx, by]]): number[] => {
    const [ex, ey] = [bx - ax, by - ay];
    const cross = dx * ey - dy * ex;
    if (cross === 0) return [];
    const share = ((ax - from[0]) * ey - (ay - from[1]) * ex) / cross;
    const along = ((ax - from[0]) * dy - (ay - from[1]) * dx) / cross;
    return share > 0 && share < 1 && along >= 0 && along <= 1 ? [share] : [];
  });
  const bounds = [0, ...crossings.sort((a, b) => a - b), 1];
  return Math.max(...bounds.slice(1).map((share, k) => share - bounds[k]!));
}

/** The line that a layer along the middle of a part lies on, from stitch to stitch. */
function lineOf({ codes, xy }: StitchPath): Polyline {
  const places: number[] = [];
  codes.forEach((code, i) => {
    if (code === Move.up || code === Move.down) places.push(xy[2 * i]!, xy[2 * i + 1]!);
  });
  return { points: Float64Array.from(places), closed: false };
}
