import { ShapePlacer } from '../drawing/index.ts';
import { orderOfWork } from '../order/index.ts';
import { plainPass, type Piece } from '../piece/index.ts';
import { sumUp, type Plan } from '../thread/index.ts';
import { PassWorker, spreadOf, USUAL_FACTORS, workSettings } from '../work/index.ts';

/** A plan for tests without advice: areas in seed stitch and knots by turns, so that some work stands up. */
export function planOf(piece: Piece): Plan {
  const shapes = new ShapePlacer().place(piece);
  const treatments = piece.drawing.parts.map((_, i) => {
    const pass = plainPass(i % 4 === 0 ? 'french-fill' : 'seed', 'stranded-cotton', 2);
    return [{ ...pass, angleDeg: 0, reason: '' }];
  });
  const settings = workSettings(piece, 1, USUAL_FACTORS);
  const parts = new PassWorker().workAll(piece.drawing.parts, shapes, treatments, { settings });
  return sumUp(piece, parts, orderOfWork(piece, parts), spreadOf(USUAL_FACTORS));
}
