import { unite, type Polyline, type Region } from '../geometry/index.ts';
import { seededRandom } from '../measure/index.ts';

/** Shapes for tests, the same for the same seed. Lengths in mm. */

export function circle(r: number, x = 0, y = 0, corners = 180): Float64Array {
  return Float64Array.from({ length: corners * 2 }, (_, i) => {
    const angle = (2 * Math.PI * (i >> 1)) / corners;
    return i % 2 ? y + r * Math.sin(angle) : x + r * Math.cos(angle);
  });
}

export function rectangle(width: number, height: number): Float64Array {
  return Float64Array.of(0, 0, width, 0, width, height, 0, height);
}

/** A closed wavy outline, sometimes with a hole, sometimes star-like. */
export function blob(seed: number): Region {
  const random = seededRandom(seed);
  const r = random.between(3, 18);
  const waves = Array.from({ length: 4 }, (_, k) => ({
    size: random.between(0, 0.24 / (k + 1)),
    phase: random.between(0, 6.3),
  }));
  const corners = 90;
  const ring = Float64Array.from({ length: corners * 2 }, (_, i) => {
    const angle = (2 * Math.PI * (i >> 1)) / corners;
    const reach = waves.reduce((sum, { size, phase }, k) => sum + size * Math.sin((k + 2) * angle + phase), 1);
    return i % 2 ? r * reach * Math.sin(angle) : r * reach * Math.cos(angle);
  });
  const hole = circle(r * random.between(0.15, 0.3), 0, 0, 40);
  return unite(random.next() < 0.4 ? [ring, hole] : [ring], 'evenodd');
}

/** A wandering line, now and then with a corner. */
export function wander(seed: number): Polyline {
  const random = seededRandom(seed);
  const points: number[] = [0, 0];
  let heading = random.between(0, 6);
  for (let i = 0; i < 120; i++) {
    heading += random.next() < 0.03 ? random.between(-2, 2) : random.between(-0.12, 0.12);
    points.push(points.at(-2)! + 0.5 * Math.cos(heading), points.at(-1)! + 0.5 * Math.sin(heading));
  }
  return { points: Float64Array.from(points), closed: random.next() < 0.3 };
}

/** Turns points about the origin, anticlockwise as seen. */
export function turnedBy(points: Float64Array, degrees: number): Float64Array {
  const [cos, sin] = [Math.cos((-degrees * Math.PI) / 180), Math.sin((-degrees * Math.PI) / 180)];
  return Float64Array.from(points, (_, i) => {
    const [x, y] = [points[i - (i % 2)]!, points[i - (i % 2) + 1]!];
    return i % 2 ? x * sin + y * cos : x * cos - y * sin;
  });
}
