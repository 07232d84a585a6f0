import { Planner } from '@junctura/core/advice';
import { looseShape } from '@junctura/core/drawing';
import { finishPlan } from '@junctura/core/finish';
import { templatePages, SHEETS, TRUE_PRINTER } from '@junctura/core/paper';
import { ENDS, type Piece } from '@junctura/core/piece';
import { planPass, USUAL_FACTORS, workSettings } from '@junctura/core/work';
import { groundPiece } from './grounds.ts';
import { medianMs } from './median.ts';

const PARTS = 200;
/** What takes a few milliseconds is measured more often. */
const ROUNDS = 101;

/** Lines for the bench: changing how a piece is finished, and its templates. */
export function benchFinishing(demo: Piece): string[] {
  const piece = groundPiece(20_000, PARTS);
  const { plan } = new Planner().plan(piece, USUAL_FACTORS);
  const patch = (borderMm: number): Piece => ({ ...piece, finish: { ...piece.finish, end: 'patch', borderMm } });
  const { form, edges } = finishPlan(patch(6), plan, USUAL_FACTORS).look;
  const { pass } = edges[0]!;
  const lines = form.map((points) => ({ points, closed: true }));
  const shape = looseShape('edge', 'line', { region: [], lines, spots: new Float64Array(0) });
  const settings = workSettings(piece, 1, USUAL_FACTORS);
  let border = 0;
  const changed = medianMs(() => finishPlan(patch(5 + (border++ % 20) / 10), plan, USUAL_FACTORS), ROUNDS);
  const alone = medianMs(() => planPass(shape, pass, settings), ROUNDS);
  const whole = medianMs(() => new Planner().plan(demo, USUAL_FACTORS), 5);
  const workings = new Planner().plan(demo, USUAL_FACTORS).plan;
  const slowest = Math.max(
    ...ENDS.map((end) =>
      medianMs(() => {
        const { templates } = finishPlan({ ...demo, finish: { ...demo.finish, end } }, workings, USUAL_FACTORS);
        return templatePages(templates, { sheet: SHEETS[0]!, printer: TRUE_PRINTER }, demo.name);
      }, 5),
    ),
  );
  return [
    `changing the border of a patch of ${PARTS} parts / working its edge alone: ${(changed / alone).toFixed(2)} (${changed.toFixed(0)} and ${alone.toFixed(0)} ms)`,
    `templates of the slowest end, its plan with them / planning ${demo.name}: ${(slowest / whole).toFixed(2)}`,
  ];
}
