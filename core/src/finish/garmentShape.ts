import { boxOf, flattenPath, mapPoints, type Box, type Polyline, type Region } from '../geometry/index.ts';

/** A shirt laid flat, one unit across its body, about the middle of the chest. */
const BODY =
  'M-0.17 -0.5C-0.13 -0.37 0.13 -0.37 0.17 -0.5L0.42 -0.42C0.56 -0.35 0.68 -0.22 0.76 -0.06L0.58 0.06L0.47 -0.06C0.48 0.18 0.48 0.36 0.49 0.62H-0.49C-0.48 0.36 -0.48 0.18 -0.47 -0.06L-0.58 0.06L-0.76 -0.06C-0.68 -0.22 -0.56 -0.35 -0.42 -0.42Z';
/** Its seams: the rib at the neck, the sleeves where they are set in, their hems and the hem below. */
const SEAMS = [
  'M-0.2 -0.49C-0.15 -0.33 0.15 -0.33 0.2 -0.49',
  'M0.42 -0.42C0.39 -0.28 0.41 -0.16 0.47 -0.06',
  'M-0.42 -0.42C-0.39 -0.28 -0.41 -0.16 -0.47 -0.06',
  'M0.74 -0.1L0.56 0.02',
  'M-0.74 -0.1L-0.56 0.02',
  'M-0.486 0.59H0.486',
];
/** How wide a shirt is drawn: at least as a child’s, mm, and at least this many times the width of the design. */
const LEAST_MM = 260;
const TIMES_DESIGN = 2.8;
const FLAT = 0.001;

/** A shirt with the design on its chest: its outline, and its seams as lines. */
export function shirtAbout({ minX, minY, maxX, maxY }: Box): {
  readonly form: Region;
  readonly seams: readonly Polyline[];
} {
  const acrossMm = Math.max(LEAST_MM, TIMES_DESIGN * Math.max(maxX - minX, maxY - minY));
  const [x, y] = [(minX + maxX) / 2, (minY + maxY) / 2];
  const laid = (path: string): Polyline[] =>
    flattenPath(path, FLAT).map(({ points, closed }) => ({
      points: mapPoints([acrossMm, 0, 0, acrossMm, x, y], points),
      closed,
    }));
  return { form: laid(BODY).map(({ points }) => points), seams: SEAMS.flatMap(laid) };
}

/** A napkin or cover with the design in its middle, and the line of its hem. */
export function hemmedAbout(
  worked: Region,
  x: number,
  y: number,
): { readonly form: Region; readonly seams: readonly Polyline[] } {
  const { minX, minY, maxX, maxY } = boxOf(worked)!;
  const half = Math.max(maxX - minX, maxY - minY) / 2 + AROUND_MM;
  const square = (a: number): Float64Array => Float64Array.of(x - a, y - a, x + a, y - a, x + a, y + a, x - a, y + a);
  return { form: [square(half)], seams: [{ points: square(half - HEM_MM), closed: true }] };
}

const AROUND_MM = 45;
const HEM_MM = 12;
