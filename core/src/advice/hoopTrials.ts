import type { OwnFactors } from '../work/index.ts';
import { NO_PICTURES, type Pictures } from '../painting/index.ts';
import { fitToHoop } from '../drawing/index.ts';
import type { Hoop, Piece } from '../piece/index.ts';
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
}

/** The piece as it would be if it filled another hoop. */
export function inHoop(piece: Piece, hoop: Hoop): Piece {
  return { ...piece, hoop, positions: [], placement: fitToHoop(piece, hoop) };
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
    },
  };
}
