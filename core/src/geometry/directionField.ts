import { boxOf, type Polyline, type Region } from './shapes.ts';

/** A unit vector, y downwards. */
export interface Direction {
  dx: number;
  dy: number;
}

/** Which way stitches lie at each place. A direction is axial: turned by half a turn it is the same. */
export interface DirectionField {
  /** Writes the direction at a place into `out`, in either of its two ways. Quicker than the angle. */
  directionAt(x: number, y: number, out: Direction): void;
  /** The direction at a place, from the x axis, anticlockwise as seen, in (−π/2, π/2]. */
  angleAt(x: number, y: number): number;
  /** Which of its two ways rows run at a place, as a vector: as the guides were drawn, or outwards. */
  senseAt(x: number, y: number): readonly [dx: number, dy: number];
}

/** Samples of all guides together, at the most. */
const MOST_SAMPLES = 160;
/** The cells to a side of the grid on which a field is worked out; it is read off between them. */
const GRID = 40;
/** A field over less than this is as wide, so that places in it have a share of it, mm. */
const LEAST_MM = 1e-6;

/** Everything runs from or to one point. */
export function radialField(centreX: number, centreY: number): DirectionField {
  return {
    directionAt: (x, y, out) => {
      const [dx, dy] = [x - centreX, y - centreY];
      const length = Math.sqrt(dx * dx + dy * dy);
      out.dx = length > 0 ? dx / length : 1;
      out.dy = length > 0 ? dy / length : 0;
    },
    angleAt: (x, y) => Math.atan2(-(y - centreY), x - centreX),
    senseAt: (x, y) => [x - centreX, y - centreY],
  };
}

/**
 * Directions that follow guides, smoothly in between: each place takes the mean of the guides' directions, weighted by
 * nearness. Angles are averaged doubled, as a direction and its opposite are one.
 * @param turnRad turns the whole field: a quarter turn makes stitches lie across the guides
 */
export function guidedField(guides: readonly Polyline[], region: Region, turnRad = 0): DirectionField {
  const samples = samplesOf(guides);
  const { minX: x0, minY: y0, maxX, maxY } = boxOf(region) ?? { minX: 0, minY: 0, maxX: 0, maxY: 0 };
  const [width, height] = [Math.max(LEAST_MM, maxX - x0), Math.max(LEAST_MM, maxY - y0)];
  const columns = GRID + 1;
  // Corners of the grid are worked out when they are first asked for: many lie nowhere near the region.
  const cosines = new Float64Array(columns * columns).fill(NaN);
  const sines = new Float64Array(columns * columns);
  const need = (at: number): void => {
    if (!Number.isNaN(cosines[at]!)) return;
    const [c, r] = [at % columns, Math.floor(at / columns)];
    const mean = meanDirection(samples, x0 + (c * width) / GRID, y0 + (r * height) / GRID);
    cosines[at] = mean[0];
    sines[at] = mean[1];
  };
  const cellAt = (u: number, v: number): number => {
    const at = Math.min(GRID - 1, Math.floor(v)) * columns + Math.min(GRID - 1, Math.floor(u));
    need(at);
    need(at + 1);
    need(at + columns);
    need(at + columns + 1);
    return at;
  };
  const read = (grid: Float64Array, at: number, u: number, v: number): number => {
    const [s, t] = [u - (at % columns), v - Math.floor(at / columns)];
    return (
      (grid[at]! * (1 - s) + grid[at + 1]! * s) * (1 - t) +
      (grid[at + columns]! * (1 - s) + grid[at + columns + 1]! * s) * t
    );
  };
  const within = (value: number): number => Math.min(GRID, Math.max(0, value));
  const [turnCos, turnSin] = [Math.cos(turnRad), Math.sin(turnRad)];
  return {
    directionAt: (x, y, out) => {
      const [u, v] = [within(((x - x0) / width) * GRID), within(((y - y0) / height) * GRID)];
      const at = cellAt(u, v);
      halved(read(cosines, at, u, v), read(sines, at, u, v), out);
      const [cos, sin] = [out.dx, -out.dy];
      out.dx = cos * turnCos - sin * turnSin;
      out.dy = -(sin * turnCos + cos * turnSin);
    },
    angleAt: (x, y) => {
      const [u, v] = [within(((x - x0) / width) * GRID), within(((y - y0) / height) * GRID)];
      const at = cellAt(u, v);
      return Math.atan2(read(sines, at, u, v), read(cosines, at, u, v)) / 2 + turnRad;
    },
    senseAt: (x, y) => {
      const nearest = nearestSample(samples, x, y);
      if (!nearest) return [1, 0];
      const [cos, sin] = [Math.cos(turnRad), -Math.sin(turnRad)];
      return [nearest.dx * cos - nearest.dy * sin, nearest.dx * sin + nearest.dy * cos];
    },
  };
}

/** Directions on a grid over the cloth: at corner (c, r), `r · columns + c`, the cosine and sine of the doubled angle, of any length. */
export interface DoubledGrid {
  readonly x0: number;
  readonly y0: number;
  readonly stepMm: number;
  readonly columns: number;
  readonly rows: number;
  readonly cosines: Float32Array;
  readonly sines: Float32Array;
}

/** A field that is read off between the corners of a grid; beyond it, as at its edge. Rows run with `sense`, in the lesser turn. */
export function gridField(
  grid: DoubledGrid,
  sense: (x: number, y: number) => readonly [number, number],
): DirectionField {
  const { x0, y0, stepMm, columns, rows, cosines, sines } = grid;
  const sum = { c: 1, s: 0 };
  const readAt = (x: number, y: number): void => {
    const u = Math.min(columns - 1.0001, Math.max(0, (x - x0) / stepMm));
    const v = Math.min(rows - 1.0001, Math.max(0, (y - y0) / stepMm));
    const [c, r] = [Math.floor(u), Math.floor(v)];
    const [s, t] = [u - c, v - r];
    const at = r * columns + c;
    const [nw, ne, sw, se] = [(1 - s) * (1 - t), s * (1 - t), (1 - s) * t, s * t];
    sum.c = cosines[at]! * nw + cosines[at + 1]! * ne + cosines[at + columns]! * sw + cosines[at + columns + 1]! * se;
    sum.s = sines[at]! * nw + sines[at + 1]! * ne + sines[at + columns]! * sw + sines[at + columns + 1]! * se;
  };
  return {
    directionAt: (x, y, out) => {
      readAt(x, y);
      halved(sum.c, sum.s, out);
    },
    angleAt: (x, y) => {
      readAt(x, y);
      return Math.atan2(sum.s, sum.c) / 2;
    },
    senseAt: sense,
  };
}

/** Half of a doubled angle as a vector, by the half-angle formulas; the larger of sine and cosine first, so that nothing is lost. */
function halved(c: number, s: number, out: Direction): void {
  const length = Math.sqrt(c * c + s * s);
  const double = length > 0 ? c / length : 1;
  const large = Math.sqrt((1 + Math.abs(double)) / 2);
  const small = length > 0 ? s / length / (2 * large) : 0;
  out.dx = double >= 0 ? large : small;
  out.dy = -(double >= 0 ? small : large);
}

interface Sample {
  readonly x: number;
  readonly y: number;
  /** Cosine and sine of the doubled angle. */
  readonly c: number;
  readonly s: number;
  readonly weight: number;
  /** As it was drawn. */
  readonly dx: number;
  readonly dy: number;
}

function samplesOf(guides: readonly Polyline[]): Sample[] {
  const edges: [ax: number, ay: number, bx: number, by: number, length: number][] = [];
  for (const { points, closed } of guides) {
    const count = points.length / 2;
    for (let i = 0; i < (closed ? count : count - 1); i++) {
      const j = (i + 1) % count;
      const edge = [points[2 * i]!, points[2 * i + 1]!, points[2 * j]!, points[2 * j + 1]!] as const;
      const length = Math.hypot(edge[2] - edge[0], edge[3] - edge[1]);
      if (length > 1e-9) edges.push([...edge, length]);
    }
  }
  const step = Math.max(1e-6, edges.reduce((sum, edge) => sum + edge[4], 0) / MOST_SAMPLES);
  return edges.flatMap(([ax, ay, bx, by, length]) => {
    const pieces = Math.max(1, Math.round(length / step));
    const double = 2 * Math.atan2(-(by - ay), bx - ax);
    return Array.from({ length: pieces }, (_, k) => {
      const share = (k + 0.5) / pieces;
      return {
        x: ax + share * (bx - ax),
        y: ay + share * (by - ay),
        c: Math.cos(double),
        s: Math.sin(double),
        weight: length / pieces,
        dx: (bx - ax) / length,
        dy: (by - ay) / length,
      };
    });
  });
}

function nearestSample(samples: readonly Sample[], x: number, y: number): Sample | null {
  const distance = (sample: Sample): number => (sample.x - x) ** 2 + (sample.y - y) ** 2;
  return samples.reduce<Sample | null>(
    (best, sample) => (best && distance(best) <= distance(sample) ? best : sample),
    null,
  );
}

function meanDirection(samples: readonly Sample[], x: number, y: number): [cosine: number, sine: number] {
  let [c, s] = [0, 0];
  for (const sample of samples) {
    const distance2 = (sample.x - x) ** 2 + (sample.y - y) ** 2 + 1e-4;
    // A guide's say falls off with the third power of its distance.
    const weight = sample.weight / (distance2 * Math.sqrt(distance2));
    c += weight * sample.c;
    s += weight * sample.s;
  }
  const length = Math.hypot(c, s);
  return length > 1e-12 ? [c / length, s / length] : [1, 0];
}
