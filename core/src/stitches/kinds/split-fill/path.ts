import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { rowsAsLines } from '../../shared/rowsAsLines.ts';
import { workRowsInShades } from '../../shared/shadedRows.ts';
import { shadesOf } from '../../shared/shading.ts';
import { workSplit } from '../../shared/splitLine.ts';
import { fillRows } from '../../shared/fillRows.ts';
import { SPLIT_ADVANCE, splitEnd } from '../../shared/splitSteps.ts';

/** The first step of every row is a different share, so that stitch ends do not line up across rows. */
const STAGGER = [1, 1 / 3, 2 / 3] as const;

/** Each stitch lies half upon the last, so that rows have less room to draw together than others; in distances of rows. */
const CROWDED = 0.57;

/** Rows of split stitch to and fro along the direction. */
export function workSplitFill(
  shape: StitchShape,
  { stitchMm, spacingMm }: { stitchMm: number; spacingMm: number },
  context: StitchContext,
  sink: MoveSink,
): void {
  if (context.field || context.followsOutline || shadesOf(context)) {
    const rows = rowsAsLines(shape.region, context, spacingMm, { crowded: CROWDED });
    return workRowsInShades(rows, context, sink, (some) => workSplit(some, stitchMm, context, sink, { stagger: true }));
  }
  const { blocks, ux, uy } = fillRows(shape.region, context.angleRad, spacingMm);
  for (const { rows, count } of blocks) {
    sink.travel();
    for (let k = 0; k < count; k++) {
      const isBack = k % 2 === 1;
      const v = rows[3 * k + 2]!;
      const from = rows[3 * k + (isBack ? 1 : 0)]!;
      const to = rows[3 * k + (isBack ? 0 : 1)]!;
      const way = to < from ? -1 : 1;
      const stations = rowStations(Math.abs(to - from), stitchMm * SPLIT_ADVANCE, STAGGER[k % 3]!);
      for (let i = 0; i + 1 < stations.length; i++) {
        const start = from + way * stations[i]!;
        const end = from + way * splitEnd(stations, i);
        sink.stitch();
        sink.up(start * ux - v * uy, start * uy + v * ux);
        sink.down(end * ux - v * uy, end * uy + v * ux);
      }
    }
  }
}

/** Where the stitches of a row begin: the first step is shortened, the others share out what is left. */
function rowStations(lengthMm: number, stepMm: number, firstShare: number): Float64Array {
  const first = stepMm * firstShare;
  const rest = Math.round((lengthMm - first) / stepMm);
  if (rest < 1) return Float64Array.of(0, lengthMm);
  const stations = new Float64Array(rest + 2);
  for (let i = 1; i <= rest + 1; i++) stations[i] = first + ((lengthMm - first) * (i - 1)) / rest;
  return stations;
}
