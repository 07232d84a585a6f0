import { Planner } from '@junctura/core/advice';
import { plainPass, type Piece } from '@junctura/core/piece';
import { medianMs } from './median.ts';

/** How many times over the small demo piece is planned in one round, so that the clock can tell. */
const TIMES = 40;
const LOOP_TIMES = 20 * TIMES;

/** A bare loop that writes as many points to typed arrays and sums their distances. */
function bareLoop(points: number, xy: Float32Array): number {
  let sum = 0;
  for (let i = 0; i < points; i++) {
    xy[2 * i] = i * 0.37;
    xy[2 * i + 1] = i * 0.11;
    if (i === 0) continue;
    const dx = xy[2 * i]! - xy[2 * i - 2]!;
    const dy = xy[2 * i + 1]! - xy[2 * i - 1]!;
    sum += Math.sqrt(dx * dx + dy * dy);
  }
  return sum;
}

/** Lines for the bench: planning a piece whole, and again after an edit of one part, against the bare loop. */
export function benchPlanning(piece: Piece): string[] {
  const { plan } = new Planner().plan(piece);
  const moves = plan.parts.flatMap((part) => part.passes).reduce((sum, pass) => sum + pass.path.codes.length, 0);
  const xy = new Float32Array(moves * 2);
  let sink = 0;
  const loop = medianMs(() => {
    for (let i = 0; i < LOOP_TIMES; i++) sink += bareLoop(moves, xy);
  });
  const whole = medianMs(() => {
    for (let i = 0; i < TIMES; i++) sink += new Planner().plan(piece).plan.totals.stitches;
  });
  const area = piece.drawing.parts.findIndex((part) => part.kind === 'area');
  const planner = new Planner();
  let strands = 1;
  const again = medianMs(() => {
    for (let i = 0; i < TIMES; i++) {
      strands = (strands % 6) + 1;
      const parts = piece.drawing.parts.with(area, {
        ...piece.drawing.parts[area]!,
        passes: [plainPass('satin', 'stranded-cotton', strands)],
      });
      sink += planner.plan({ ...piece, drawing: { ...piece.drawing, parts } }).plan.totals.stitches;
    }
  });
  if (!Number.isFinite(sink)) throw new Error('benchPlanning: a figure is not a number');
  const perLoop = loop / LOOP_TIMES;
  return [
    `planning ${piece.name} (${moves} moves) / bare loop of as many points: ${(whole / TIMES / perLoop).toFixed(0)}`,
    `planning again after an edit of one part / planning whole: ${(again / whole).toFixed(2)}`,
  ];
}
