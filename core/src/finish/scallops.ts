import { ellipseRing, lengthsOf, placeOn, wayRound, type Polyline } from '../geometry/index.ts';

/** How deep a scallop is, of its width. */
const DEPTH = 0.28;
/** Points along the arc of one. */
const STEPS = 16;

export interface Scallops {
  /** The edge, with the cloth on its left hand. */
  readonly line: Polyline;
  readonly across: number;
  readonly upright: number;
  readonly count: number;
  readonly deepMm: number;
}

/** A whole number of scallops on each side of a cloth, of the width nearest to the one that is wished, so that they meet in the corners. */
export function scallopsAround(widthMm: number, heightMm: number, wishedMm: number, x = 0, y = 0): Scallops {
  const whole = (side: number): number => wholeNumber(side, wishedMm);
  const [across, upright] = [whole(widthMm), whole(heightMm)];
  const [a, b] = [widthMm / 2, heightMm / 2];
  // Round by the left: down, along, up, back, so that the cloth lies to the left of the line.
  const sides = [
    { from: [x - a, y - b], to: [x - a, y + b], count: upright },
    { from: [x - a, y + b], to: [x + a, y + b], count: across },
    { from: [x + a, y + b], to: [x + a, y - b], count: upright },
    { from: [x + a, y - b], to: [x - a, y - b], count: across },
  ] as const;
  const points: number[] = [];
  for (const { from, to, count } of sides) {
    const [dx, dy] = [(to[0] - from[0]) / count, (to[1] - from[1]) / count];
    for (let k = 0; k < count; k++) {
      for (let i = 0; i < STEPS; i++) {
        const share = i / STEPS;
        const [px, py] = [from[0] + (k + share) * dx, from[1] + (k + share) * dy];
        // The arc stands out to the right.
        const out = 4 * DEPTH * share * (1 - share);
        points.push(px - out * dy, py + out * dx);
      }
    }
  }
  const deepest = Math.max(widthMm / across, heightMm / upright);
  return {
    line: { points: Float64Array.from(points), closed: true },
    across,
    upright,
    count: 2 * (across + upright),
    deepMm: DEPTH * deepest,
  };
}

/** Nearest by width, not by count: of a side of 86 mm, two of 43 are nearer to 60 than one of 86. */
function wholeNumber(sideMm: number, wishedMm: number): number {
  const fewer = Math.max(1, Math.floor(sideMm / wishedMm));
  const off = (count: number): number => Math.abs(sideMm / count - wishedMm);
  return off(fewer + 1) < off(fewer) ? fewer + 1 : fewer;
}

/** A round or oval cloth has three scallops at least. */
const LEAST_ROUND = 3;

/** A whole number of scallops round a circle or an oval, all of one width along it. */
export function scallopsRound(widthMm: number, heightMm: number, wishedMm: number, x = 0, y = 0): Scallops {
  const way = wayRound(ellipseRing(x, y, widthMm / 2, heightMm / 2));
  const lengths = lengthsOf(way);
  const wholeMm = lengths.at(-1)!;
  const count = Math.max(LEAST_ROUND, wholeNumber(wholeMm, wishedMm));
  const eachMm = wholeMm / count;
  const points = Float64Array.from({ length: 2 * count * STEPS }, () => 0);
  for (let i = 0; i < count * STEPS; i++) {
    const share = (i % STEPS) / STEPS;
    const [px, py] = placeOn(way, lengths, (i / STEPS) * eachMm);
    const outMm = 4 * DEPTH * eachMm * share * (1 - share);
    // Outward from an ellipse: along its gradient.
    const [nx, ny] = [(px - x) / widthMm ** 2, (py - y) / heightMm ** 2];
    const length = Math.hypot(nx, ny);
    // Walked the other way, so that the cloth lies to the left of the line.
    points.set([px + (outMm * nx) / length, py + (outMm * ny) / length], 2 * ((count * STEPS - i) % (count * STEPS)));
  }
  return { line: { points, closed: true }, across: count, upright: count, count, deepMm: DEPTH * eachMm };
}

/** The middle of each scallop, a little inside the line of its ends: flat x, y pairs in mm. */
export function knotPlaces({ line: { points }, count, deepMm }: Scallops): Float64Array {
  const places = new Float64Array(2 * count);
  for (let k = 0; k < count; k++) {
    const [from, tip, to] = [0, STEPS / 2, STEPS].map((step) => {
      const at = (2 * (k * STEPS + step)) % points.length;
      return [points[at]!, points[at + 1]!] as const;
    }) as [readonly [number, number], readonly [number, number], readonly [number, number]];
    const [mx, my] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
    const outMm = Math.hypot(tip[0] - mx, tip[1] - my) || 1;
    // Where the long stitches of the edge end, the knot has room: as far inside as the scallop is deep.
    const inMm = Math.max(KNOT_INSIDE_MM, deepMm / 2);
    places.set([mx - ((tip[0] - mx) / outMm) * inMm, my - ((tip[1] - my) / outMm) * inMm], 2 * k);
  }
  return places;
}

/** A knot stands clear of the edge's long stitches by this, mm inside the line between a scallop's ends. */
const KNOT_INSIDE_MM = 3;
