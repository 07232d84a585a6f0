import { isInside, reachInside, simplifyRegion, splitByLine, WOBBLE_MM } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { shadesOf } from '../../shared/shading.ts';
import { workSatin } from '../../shared/satinSpans.ts';
import { veinOf, type Vein } from '../../shared/vein.ts';

/** A side whose arms end further apart than this many spacings bulges: an extra straight stitch is slipped in. */
const BULGES = 1.55;
/** Beyond the tip the first stitch lies along the vein for this share of it. */
const TIP_SHARE = 0.1;

/** Close to the vein the arms run straight to it: from this share of their length. */
const CORNER = 0.1;

interface Point {
  readonly x: number;
  readonly y: number;
}

/**
 * Closed fly stitches from the tip down the vein: each V is caught on the vein and tied down along it. Where a side bulges
 * an extra straight stitch fills the gap between two arms.
 */
export function workFlyLeaf(
  { region }: StitchShape,
  values: { spacingMm: number; tieMm: number; angleDeg: number; tip: 'narrow' | 'other' },
  context: StitchContext,
  sink: MoveSink,
): void {
  const { spacingMm, tieMm, angleDeg, tip } = values;
  const vein = veinOf(region, context.vein, tip === 'other');
  if (!vein) return workSatin(region, { spacingMm, from: 'edge' }, context, sink);
  const steep = (angleDeg * Math.PI) / 180;
  // Arms lie a spacing apart when they leave the vein this far apart.
  const step = spacingMm / Math.sin(steep);
  const { lengthMm } = vein;
  const top = vein.place(lengthMm);
  const firstMm = lengthMm * (1 - TIP_SHARE);
  const first = vein.place(firstMm);
  sink.travel();
  sink.stitch();
  sink.up(top.x, top.y);
  sink.down(first.x, first.y);
  const shadeAt = shadesOf(context);
  let last: [Point, Point] | null = null;
  let lastCaught: Point | null = null;
  let lastFoot: Point = first;
  for (let at = firstMm; at > step * 0.5; at -= step) {
    const { x, y, dx, dy } = vein.place(at);
    if (!isInside(region, x, y)) continue;
    const arm = (side: number): Point => {
      const [cos, sin] = [Math.cos(steep), Math.sin(steep) * side];
      const [ax, ay] = [dx * cos - dy * sin, dx * sin + dy * cos];
      const reach = reachInside(region, x, y, ax, ay);
      return { x: x + ax * reach, y: y + ay * reach };
    };
    const ends: [Point, Point] = [arm(-1), arm(1)];
    if (last && lastCaught) slipIn({ ends: last, caught: lastCaught, foot: lastFoot }, ends, { x, y }, spacingMm, sink);
    if (shadeAt) sink.shade(shadeAt(x, y, 1 - at / lengthMm, top));
    const foot = vein.place(Math.max(0, at - Math.min(tieMm, at)));
    sink.stitch();
    sink.up(ends[0].x, ends[0].y);
    // The thread turns sharply where the tie holds it.
    const towards = ({ x: ex, y: ey }: Point): void => sink.via(x + (ex - x) * CORNER, y + (ey - y) * CORNER);
    towards(ends[0]);
    sink.via(x, y);
    towards(ends[1]);
    sink.down(ends[1].x, ends[1].y);
    sink.stitch();
    sink.up(x, y);
    sink.down(foot.x, foot.y);
    last = ends;
    lastCaught = { x, y };
    lastFoot = foot;
  }
  if (last && lastCaught) fillToFoot(region, vein, lastCaught, last, { spacingMm, context }, sink);
}

/** Straight stitches between two arms that stand apart at their outer ends, further than `BULGES` allows. */
function slipIn(
  before: { readonly ends: readonly Point[]; readonly caught: Point; readonly foot: Point },
  ends: readonly Point[],
  to: Point,
  spacingMm: number,
  sink: MoveSink,
): void {
  let needle = before.foot;
  before.ends.forEach((last, side) => {
    const now = ends[side]!;
    // Ends on the outline lie far apart where it runs along the arms: what counts is how far the one arm lies beside the other.
    const gap = besideMm(last, before.caught, now);
    const extra = Math.floor(gap / (spacingMm * BULGES));
    for (let k = 1; k <= Math.min(extra, 6); k++) {
      const share = k / (extra + 1);
      const [x, y] = [last.x + share * (now.x - last.x), last.y + share * (now.y - last.y)];
      // It ends short of the vein, tucked in between its neighbours.
      const [outer, inner] = [
        { x, y },
        { x: x + (to.x - x) * 0.72, y: y + (to.y - y) * 0.72 },
      ];
      // From whichever end is nearer: nothing hides a long way behind.
      const isFromOuter = wayTo(needle, outer) <= wayTo(needle, inner);
      const [start, end] = isFromOuter ? [outer, inner] : [inner, outer];
      sink.stitch();
      sink.up(start.x, start.y);
      sink.down(end.x, end.y);
      needle = end;
    }
  });
}

const wayTo = (from: Point, to: Point): number => Math.hypot(to.x - from.x, to.y - from.y);

/** How far a point lies beside the line from one place to another. */
function besideMm(from: Point, to: Point, { x, y }: Point): number {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  return Math.abs(dx * (y - from.y) - dy * (x - from.x)) / (Math.hypot(dx, dy) || 1);
}

/** What is left between the last arms and the foot takes straight stitches beside them, from edge to edge. */
function fillToFoot(
  region: StitchShape['region'],
  vein: Vein,
  caught: Point,
  arms: readonly [Point, Point],
  { spacingMm, context }: { spacingMm: number; context: StitchContext },
  sink: MoveSink,
): void {
  const { left, right } = splitByLine(simplifyRegion(region, WOBBLE_MM), vein.line.points);
  const { dx, dy } = vein.place(0);
  // As one walks the vein to the tip its right hand is on the first arm's side, y pointing down.
  for (const [half, end] of [
    [left, arms[0]],
    [right, arms[1]],
  ] as const) {
    const parts = splitByLine(half, Float64Array.of(caught.x, caught.y, end.x, end.y));
    const [ax, ay] = [end.x - caught.x, end.y - caught.y];
    const isFootLeft = ax * -dy - ay * -dx < 0;
    const angleRad = Math.atan2(-ay, ax);
    workSatin(
      isFootLeft ? parts.left : parts.right,
      { spacingMm, from: 'edge' },
      { ...context, angleRad, field: undefined },
      sink,
    );
  }
}
