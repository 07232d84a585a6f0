import { lengthsOf, placeOn, placeAt } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { tieAcross } from '../../shared/layAlong.ts';
import { FIRST_THREAD, SECOND_THREAD } from '../../shared/twoThreads.ts';
import { rowsAsLines } from '../../shared/rowsAsLines.ts';

/** A tie reaches this far to either side of the laid thread, in laid widths. */
const TIE_REACH = 0.62;
/** Nearer to the edge than this share of the distance of ties, none is needed. */
const NEAR_EDGE = 0.3;

/** Threads laid to and fro from edge to edge, then small ties over each, those of neighbours half way between. */
export function workCouchedFill(
  { region }: StitchShape,
  { spacingMm, tieMm }: { spacingMm: number; tieMm: number },
  context: StitchContext,
  sink: MoveSink,
): void {
  const { laidMm, heightMm } = context;
  const rows = rowsAsLines(region, context, spacingMm).lines;
  sink.shade(FIRST_THREAD);
  for (const { points, closed } of rows) {
    sink.travel();
    sink.stitch();
    sink.up(...placeAt(points, 0));
    for (let i = 2; i < points.length - 2; i += 2) sink.via(points[i]!, points[i + 1]!);
    if (closed) {
      sink.via(...placeAt(points, -1));
      sink.down(...placeAt(points, 0));
    } else sink.down(...placeAt(points, -1));
  }
  sink.lift(heightMm);
  sink.shade(SECOND_THREAD);
  const reach = TIE_REACH * laidMm;
  [...rows].reverse().forEach(({ points }, k) => {
    const lengths = lengthsOf(points);
    const length = lengths.at(-1)!;
    for (let at = firstTie(points, k, tieMm, context); at < length - NEAR_EDGE * tieMm; at += tieMm) {
      const [x, y] = placeOn(points, lengths, at);
      const [ax, ay] = placeOn(points, lengths, at + 0.2);
      const [dx, dy] = [(ax - x) / 0.2, (ay - y) / 0.2];
      tieAcross({ x, y, dx, dy }, reach, sink);
    }
  });
  sink.lift(0);
}

/**
 * Where along a row its first tie sits: on straight rows all ties lie on one grid over the whole area, those of neighbours half
 * way between; on curved rows they are counted from where the row begins.
 */
function firstTie(points: Float64Array, row: number, tieMm: number, context: StitchContext): number {
  const half = (row % 2) * (tieMm / 2);
  if (context.field || context.followsOutline) return tieMm / 2 + half;
  const [[ax, ay], [bx, by]] = [placeAt(points, 0), placeAt(points, -1)];
  const way = Math.hypot(bx - ax, by - ay) || 1;
  const [ux, uy] = [Math.cos(context.angleRad), -Math.sin(context.angleRad)];
  const along = (bx - ax) * ux + (by - ay) * uy < 0 ? -1 : 1;
  const start = along * (ax * ux + ay * uy) - along * half;
  const first = ((-start % tieMm) + tieMm) % tieMm;
  return Math.min(first < NEAR_EDGE * tieMm ? first + tieMm : first, way);
}
