/** An affine map `x' = a·x + c·y + e`, `y' = b·x + d·y + f`, in the order of SVG's matrix(). */
export type Matrix = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

export const IDENTITY: Matrix = [1, 0, 0, 1, 0, 0];

/** The map that turns about the origin, anticlockwise as seen: y points down. */
export function turning(turnDeg: number): Matrix {
  const turn = (-turnDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return [cos, sin, -sin, cos, 0, 0];
}

/** The map that applies `inner` first and `outer` after it. */
export function compose(outer: Matrix, inner: Matrix): Matrix {
  const [a, b, c, d, e, f] = outer;
  const [p, q, r, s, t, u] = inner;
  return [a * p + c * q, b * p + d * q, a * r + c * s, b * r + d * s, a * t + c * u + e, b * t + d * u + f];
}

/** The map that undoes another. @throws RangeError where it flattens everything onto a line */
export function inverse([a, b, c, d, e, f]: Matrix): Matrix {
  const det = a * d - b * c;
  if (det === 0) throw new RangeError('inverse: expected a map that keeps areas apart, got one of factor 0');
  return [d / det, -b / det, -c / det, a / det, (c * f - d * e) / det, (b * e - a * f) / det];
}

/** The factor by which a map enlarges lengths, averaged over directions: the root of its area factor. */
export function meanScale([a, b, c, d]: Matrix): number {
  return Math.sqrt(Math.abs(a * d - b * c));
}

/** The points under a map, in a new array. */
export function mapPoints(matrix: Matrix, points: Float64Array): Float64Array {
  const [a, b, c, d, e, f] = matrix;
  const out = new Float64Array(points.length);
  for (let i = 0; i < points.length; i += 2) {
    const x = points[i]!;
    const y = points[i + 1]!;
    out[i] = a * x + c * y + e;
    out[i + 1] = b * x + d * y + f;
  }
  return out;
}
