import type { OwnFactors } from '../work/index.ts';
import { NO_PICTURES, type Pictures } from '../painting/index.ts';
import { fitToHoop, keepsSize, pointsOf, type PlacedShape } from '../drawing/index.ts';
import { placesOf } from '../geometry/index.ts';
import { innerHalvesMm, outerHalvesMm } from '../materials/index.ts';
import { findPositions } from '../order/index.ts';
import type { HoopPlace, Hoop, Piece } from '../piece/index.ts';
import type { FindingId } from './finding.ts';
import type { Planner, Workings } from './planner.ts';

/** A design as it would be in a hoop of some size. */
export interface HoopTrial {
  readonly hoop: Hoop;
  readonly placement: Piece['placement'];
  readonly widthMm: number;
  readonly heightMm: number;
  /** Times its present size. */
  readonly factor: number;
  readonly stitches: number;
  readonly threadM: number;
  readonly skeins: number;
  readonly hours: { readonly p10: number; readonly p50: number; readonly p90: number };
  /** Ids of parts that become too small for their thread, whose satin becomes too long, and pairs that merge. */
  readonly tooSmall: readonly string[];
  readonly tooLong: readonly string[];
  readonly merging: number;
  /** How the hoop holds a design that keeps its size; null: the design fills the hoop. */
  readonly held: HeldInHoop | null;
}

/** How a design of a given size lies in a hoop. */
export interface HeldInHoop {
  /** The least distance from the design to the ring, mm; negative where the design reaches past it. */
  readonly clearMm: number;
  /** How often the hoop is set on; null: more often than can be planned. */
  readonly positions: number | null;
  /** On how many parts the ring lies in one of its positions. */
  readonly underRing: number;
}

/** Whether a piece is tried at the size that it keeps; without a hoop there is none to compare with, and it fills each. */
function isTriedAsLarge(piece: Piece): boolean {
  return piece.hoop !== null && keepsSize(piece);
}

/** The piece as it would be in another hoop: filling it, or at the size that it keeps. */
export function inHoop(piece: Piece, hoop: Hoop): Piece {
  const placement = isTriedAsLarge(piece) ? piece.placement : fitToHoop(piece, hoop);
  return { ...piece, hoop, positions: [], placement };
}

function heldIn(hoop: Hoop, { parts, hoop: room }: Workings['plan']): HeldInHoop {
  const clearMm = room?.clearMm ?? 0;
  const middles = clearMm >= hoop.airMm ? [[0, 0] as const] : findPositions(parts, hoop);
  const underRing = parts.filter(({ placed }) => middles?.some((middle) => liesUnderRing(placed, hoop, middle)));
  return { clearMm, positions: middles && Math.max(1, middles.length), underRing: underRing.length };
}

/** Whether the ring of a hoop lies on a part: some of it is outside the inner ring and some inside the outer one. */
function liesUnderRing({ shape }: PlacedShape, hoop: Hoop, [cx, cy]: HoopPlace): boolean {
  const away = ([a, b]: readonly [number, number], x: number, y: number): number =>
    Math.hypot((x - cx) / a, (y - cy) / b);
  const [inner, outer] = [innerHalvesMm(hoop), outerHalvesMm(hoop)];
  const points = [...pointsOf(shape)].flatMap((run) => [...placesOf(run)]);
  return points.some(([x, y]) => away(inner, x, y) > 1) && points.some(([x, y]) => away(outer, x, y) < 1);
}

/** Plans a piece as it would be in another hoop. A planner that tried it in one before is quicker with the next. */
export function tryHoop(
  piece: Piece,
  hoop: Hoop,
  planner: Planner,
  own: OwnFactors,
  pictures: Pictures = NO_PICTURES,
): { trial: HoopTrial; piece: Piece; workings: Workings } {
  const tried = inHoop(piece, hoop);
  const workings = planner.planSize(tried, own, pictures);
  const { design, totals } = workings.plan;
  const partsWith = (id: FindingId): string[] => [
    ...new Set(
      workings.findings.flatMap((finding) => (finding.id === id && finding.part !== null ? [finding.part] : [])),
    ),
  ];
  return {
    piece: tried,
    workings,
    trial: {
      hoop,
      placement: tried.placement,
      widthMm: design.widthMm,
      heightMm: design.heightMm,
      factor: tried.placement.scale / piece.placement.scale,
      stitches: totals.stitches,
      threadM: totals.threadMm / 1000,
      skeins: totals.skeins90,
      hours: totals.hours,
      tooSmall: partsWith('part-too-small'),
      tooLong: partsWith('span-too-long'),
      merging: workings.findings.filter(({ id }) => id === 'line-too-close').length,
      held: isTriedAsLarge(piece) ? heldIn(hoop, workings.plan) : null,
    },
  };
}
