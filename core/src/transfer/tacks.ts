import type { Plan } from '../thread/index.ts';
import { convexHull } from '../geometry/index.ts';
import { pointsOf } from '../drawing/index.ts';

/** Tacks that hold a film: places in mm on the cloth. */
export interface Tacking {
  readonly middle: readonly [x: number, y: number];
  readonly round: readonly (readonly [x: number, y: number])[];
  /** How many are taken out at the end. */
  readonly count: number;
}

/** Tacks stand so far outside the design, and no further apart than this, mm. */
const OUTSIDE_MM = 5;
const APART_MM = 40;

/** Where a film is tacked so that it does not creep: in the middle, and every 30 to 40 mm round the design. Null where nothing is drawn. */
export function tackingFor({ parts, design }: Plan): Tacking | null {
  if (!design.circle) return null;
  const { x, y } = design.circle;
  const hull = convexHull(parts.flatMap(({ placed }) => [...pointsOf(placed.shape)])).map((point) => {
    const away = Math.hypot(point.x - x, point.y - y) || 1;
    const grown = (away + OUTSIDE_MM) / away;
    return { x: x + (point.x - x) * grown, y: y + (point.y - y) * grown };
  });
  const sides = hull.map((point, i) => {
    const next = hull[(i + 1) % hull.length]!;
    return { point, next, length: Math.hypot(next.x - point.x, next.y - point.y) };
  });
  const whole = sides.reduce((sum, { length }) => sum + length, 0);
  const count = Math.max(4, Math.ceil(whole / APART_MM));
  const round: [number, number][] = [];
  let [done, side] = [0, 0];
  for (let k = 0; k < count && sides.length > 0; k++) {
    const wanted = (whole * k) / count;
    while (side < sides.length - 1 && done + sides[side]!.length < wanted) done += sides[side++]!.length;
    const { point, next, length } = sides[side]!;
    const share = length > 0 ? (wanted - done) / length : 0;
    round.push([point.x + (next.x - point.x) * share, point.y + (next.y - point.y) * share]);
  }
  return { middle: [x, y], round, count: round.length + 1 };
}
