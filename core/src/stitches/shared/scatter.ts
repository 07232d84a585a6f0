import { boxOf, isInside, regionArea, type Region } from '../../geometry/index.ts';
import { seededRandom, type Random } from '../../measure/index.ts';

type Point = [x: number, y: number];

/** How far a point lies from its place in the lattice at most, as a share of the spacing. */
const MOVED = 0.24;
/** Rows of a lattice of triangles lie this share of the spacing apart. */
const ROW_SHARE = Math.sqrt(3) / 2;
/** The spacing is narrowed or widened by up to this share, in this number of steps either way, until the number of points is right. */
const ADJUSTED = { share: 0.2, steps: 60 } as const;
/** The number of places of lattices that are looked at, all tries together: of a long thin region most lie outside. */
const MOST_PLACES = 2_000_000;
/** Points that are still missing go where there is most room: this many places are tried for each. */
const CANDIDATES = 60;
const MOST_ADDED = 200;
/** Of very many points as many more or fewer are no matter, as a share. */
const NO_MATTER = 0.002;

/**
 * Points scattered evenly but without pattern, as many as the density says: a lattice of triangles, turned by chance, each point moved by chance; in
 * bands across the region, to and fro.
 * @param densityPerCm2 the number on a square centimetre
 */
export function scatterEvenly(region: Region, densityPerCm2: number, random: Random): Point[] {
  const box = boxOf(region);
  if (!box) return [];
  const wanted = Math.max(1, Math.round((regionArea(region) * densityPerCm2) / 100));
  const spacing = Math.sqrt(100 / densityPerCm2 / ROW_SHARE);
  const lattice = { seed: Math.floor(random.next() * 2 ** 31), angleRad: random.between(0, Math.PI) };
  let best: Point[] = [];
  let off = Infinity;
  // From the spacing outwards, so that the first that is right is the nearest to it.
  const tries = Math.min(
    2 * ADJUSTED.steps,
    Math.ceil((MOST_PLACES * spacing ** 2) / Math.hypot(box.maxX - box.minX, box.maxY - box.minY) ** 2),
  );
  for (let step = 0; step <= tries && off > NO_MATTER * wanted; step++) {
    const by = (step % 2 === 0 ? -1 : 1) * Math.ceil(step / 2);
    const points = onLattice(region, spacing * (1 + (ADJUSTED.share * by) / ADJUSTED.steps), lattice);
    if (Math.abs(points.length - wanted) >= off) continue;
    [best, off] = [points, Math.abs(points.length - wanted)];
  }
  // Of a few points the very number; of very many some more or fewer are no matter.
  if (off > NO_MATTER * wanted) while (best.length > wanted) best.splice(nearestToAnother(best), 1);
  for (let added = 0; off > NO_MATTER * wanted && best.length < wanted && added < MOST_ADDED; added++) {
    const [roomiest] = Array.from(
      { length: CANDIDATES },
      () => [random.between(box.minX, box.maxX), random.between(box.minY, box.maxY)] as Point,
    )
      .filter(([x, y]) => isInside(region, x, y))
      .map((point) => ({ point, far: wayToNearest(point, best) }))
      .sort((a, b) => b.far - a.far);
    if (roomiest) best.push(roomiest.point);
  }
  const band = ([, y]: Point): number => Math.floor((y - box.minY) / (spacing * 1.25));
  return best.sort((a, b) => band(a) - band(b) || (band(a) % 2 === 0 ? a[0] - b[0] : b[0] - a[0]));
}

function wayToNearest([x, y]: Point, points: readonly Point[], but = -1): number {
  return points.reduce((least, [a, b], i) => (i === but ? least : Math.min(least, Math.hypot(a - x, b - y))), Infinity);
}

/** The place in the list of the point that has another nearest to it. */
function nearestToAnother(points: readonly Point[]): number {
  const ways = points.map((point, i) => wayToNearest(point, points, i));
  return ways.indexOf(Math.min(...ways));
}

function onLattice(
  region: Region,
  spacing: number,
  { seed, angleRad }: { readonly seed: number; readonly angleRad: number },
): Point[] {
  const box = boxOf(region)!;
  const random = seededRandom(seed);
  const [x, y] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const reach = Math.hypot(box.maxX - box.minX, box.maxY - box.minY) / 2 + spacing;
  const [cos, sin] = [Math.cos(angleRad), Math.sin(angleRad)];
  const rows = Math.ceil(reach / (spacing * ROW_SHARE));
  const columns = Math.ceil(reach / spacing) + 1;
  const points: Point[] = [];
  for (let row = -rows; row <= rows; row++) {
    for (let column = -columns; column <= columns; column++) {
      const [far, turn] = [MOVED * spacing * Math.sqrt(random.next()), 2 * Math.PI * random.next()];
      const u = (column + (row & 1) / 2) * spacing + far * Math.cos(turn);
      const v = row * spacing * ROW_SHARE + far * Math.sin(turn);
      const [px, py] = [x + u * cos - v * sin, y + u * sin + v * cos];
      if (isInside(region, px, py)) points.push([px, py]);
    }
  }
  return points;
}
