import { segmentsOf } from './points.ts';
import Flatbush from 'flatbush';
import type { Polyline } from './shapes.ts';

/** The narrowest gap between two sets of lines, and where it is: the nearest places of one and of the other. */
export interface Gap {
  readonly mm: number;
  readonly from: readonly [x: number, y: number];
  readonly to: readonly [x: number, y: number];
}

/**
 * Where two sets of lines come nearest, where that is within a distance; null where they stay further apart. Lines that cross are
 * nought apart.
 */
export function narrowestGap(a: readonly Polyline[], b: readonly Polyline[], withinMm: number): Gap | null {
  const ours = allSegments(a);
  // Of a large drawing only what lies near matters.
  const theirs = segmentsNear(allSegments(b), ours, withinMm);
  if (ours.length === 0 || theirs.length === 0) return null;
  const index = new Flatbush(theirs.length);
  for (const [x0, y0, x1, y1] of theirs) {
    index.add(Math.min(x0, x1), Math.min(y0, y1), Math.max(x0, x1), Math.max(y0, y1));
  }
  index.finish();
  let best: Gap | null = null;
  let reach = withinMm;
  for (const ours_ of ours) {
    const [x0, y0, x1, y1] = ours_;
    const near = index.search(
      Math.min(x0, x1) - reach,
      Math.min(y0, y1) - reach,
      Math.max(x0, x1) + reach,
      Math.max(y0, y1) + reach,
    );
    for (const k of near) {
      const gap = segmentGap(ours_, theirs[k]!);
      if (gap.mm > reach || (best && gap.mm >= best.mm)) continue;
      best = gap;
      reach = gap.mm;
      if (reach === 0) return best;
    }
  }
  return best;
}

type Segment = readonly [x0: number, y0: number, x1: number, y1: number];

/** The segments that come within a distance of the box of others. */
function segmentsNear(segments: readonly Segment[], others: readonly Segment[], mm: number): Segment[] {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [x0, y0, x1, y1] of others) {
    minX = Math.min(minX, x0, x1);
    minY = Math.min(minY, y0, y1);
    maxX = Math.max(maxX, x0, x1);
    maxY = Math.max(maxY, y0, y1);
  }
  return segments.filter(
    ([x0, y0, x1, y1]) =>
      Math.max(x0, x1) >= minX - mm &&
      Math.min(x0, x1) <= maxX + mm &&
      Math.max(y0, y1) >= minY - mm &&
      Math.min(y0, y1) <= maxY + mm,
  );
}

function allSegments(lines: readonly Polyline[]): Segment[] {
  return lines.flatMap((line) => Array.from(segmentsOf(line), ([[ax, ay], [bx, by]]): Segment => [ax, ay, bx, by]));
}

/** Two segments that do not cross are nearest at an end of one of them. */
function segmentGap(p: Segment, q: Segment): Gap {
  const side = (s: Segment, x: number, y: number): number => (s[2] - s[0]) * (y - s[1]) - (s[3] - s[1]) * (x - s[0]);
  const crosses = side(p, q[0], q[1]) * side(p, q[2], q[3]) < 0 && side(q, p[0], p[1]) * side(q, p[2], p[3]) < 0;
  if (crosses) return { mm: 0, from: [p[0], p[1]], to: [p[0], p[1]] };
  const ends: Gap[] = [
    endGap(p[0], p[1], q),
    endGap(p[2], p[3], q),
    swapped(endGap(q[0], q[1], p)),
    swapped(endGap(q[2], q[3], p)),
  ];
  return ends.reduce((best, next) => (next.mm < best.mm ? next : best));
}

function endGap(x: number, y: number, [x0, y0, x1, y1]: Segment): Gap {
  const [dx, dy] = [x1 - x0, y1 - y0];
  const length2 = dx * dx + dy * dy;
  const t = length2 > 0 ? Math.min(1, Math.max(0, ((x - x0) * dx + (y - y0) * dy) / length2)) : 0;
  const to: [number, number] = [x0 + t * dx, y0 + t * dy];
  return { mm: Math.hypot(x - to[0], y - to[1]), from: [x, y], to };
}

function swapped({ mm, from, to }: Gap): Gap {
  return { mm, from: to, to: from };
}
