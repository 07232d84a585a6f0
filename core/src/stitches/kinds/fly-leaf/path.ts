import { isInside, reachInside, regionArea, simplifyRegion, splitByLine, WOBBLE_MM } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { flyAdvanceMm } from '../../shared/flies.ts';
import { keepsOf, shadesOf } from '../../shared/shading.ts';
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
  const step = flyAdvanceMm(spacingMm, angleDeg);
  // A longer tie would lie under the next V.
  const holdsMm = Math.min(tieMm, step);
  const { lengthMm } = vein;
  const top = vein.place(lengthMm);
  const firstMm = lengthMm * (1 - TIP_SHARE);
  const first = vein.place(firstMm);
  sink.travel();
  sink.stitch();
  sink.up(top.x, top.y);
  sink.down(first.x, first.y);
  const flies = fliesOn(region, vein, firstMm, step, steep);
  const shadeAt = shadesOf(context);
  // Thread that lies side by side covers an area of its length by the spacing.
  const wholeMm = regionArea(region) / spacingMm;
  let doneMm = 0;
  let last: Fly | null = null;
  let foot: Point = first;
  const keeps = keepsOf(context);
  for (const [number, fly] of flies.entries()) {
    const { caught, ends, at } = fly;
    const middle = { x: (2 * caught.x + ends[0].x + ends[1].x) / 4, y: (2 * caught.y + ends[0].y + ends[1].y) / 4 };
    const shade = shadeAt?.(middle.x, middle.y, doneMm / wholeMm, top) ?? 0;
    doneMm += wayTo(caught, ends[0]) + wayTo(caught, ends[1]);
    if (keeps && !keeps(number, shade)) continue;
    if (last) slipIn({ ...last, foot }, ends, caught, spacingMm * (context.widths?.[shade] ?? 1), sink);
    if (shadeAt) sink.shade(shade);
    foot = vein.place(Math.max(0, at - holdsMm));
    sink.stitch();
    sink.up(ends[0].x, ends[0].y);
    // The thread turns sharply where the tie holds it.
    const towards = ({ x, y }: Point): void =>
      sink.via(caught.x + (x - caught.x) * CORNER, caught.y + (y - caught.y) * CORNER);
    towards(ends[0]);
    sink.via(caught.x, caught.y);
    towards(ends[1]);
    sink.down(ends[1].x, ends[1].y);
    sink.stitch();
    sink.up(caught.x, caught.y);
    sink.down(foot.x, foot.y);
    last = fly;
  }
  if (!last) return;
  const base = vein.place(0);
  if (shadeAt) sink.shade(shadeAt(base.x, base.y, 1, top));
  fillToFoot(region, vein, last.caught, last.ends, { spacingMm, context }, sink);
}

/** One V: where it is caught on the vein, how far from the foot that is, and where its arms end, left and right as one walks to the tip. */
interface Fly {
  readonly at: number;
  readonly caught: Point;
  readonly ends: readonly [Point, Point];
}

/** The Vs of a leaf from its tip to its foot. */
function fliesOn(region: StitchShape['region'], vein: Vein, firstMm: number, stepMm: number, steepRad: number): Fly[] {
  const flies: Fly[] = [];
  for (let at = firstMm; at > stepMm * 0.5; at -= stepMm) {
    const { x, y, dx, dy } = vein.place(at);
    if (!isInside(region, x, y)) continue;
    const arm = (side: number): Point => {
      const [cos, sin] = [Math.cos(steepRad), Math.sin(steepRad) * side];
      const [ax, ay] = [dx * cos - dy * sin, dx * sin + dy * cos];
      const reach = reachInside(region, x, y, ax, ay);
      return { x: x + ax * reach, y: y + ay * reach };
    };
    flies.push({ at, caught: { x, y }, ends: [arm(-1), arm(1)] });
  }
  return flies;
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
