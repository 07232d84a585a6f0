import { ShapePlacer } from '../drawing/index.ts';
import { plainPass, type Piece } from '../piece/index.ts';
import { PassWorker, sumUp, workSettings, type Plan } from '../plan/index.ts';

/** A plan for tests without advice: areas in seed stitch and knots by turns, so that some work stands up. */
export function planOf(piece: Piece): Plan {
  const worker = new PassWorker();
  const settings = workSettings(piece, 1);
  const shapes = new ShapePlacer().place(piece);
  const parts = piece.drawing.parts.map((part, i) => {
    const pass = plainPass(i % 4 === 0 ? 'french-fill' : 'seed', 'stranded-cotton', 2);
    return {
      part,
      placed: shapes[i]!,
      passes: worker.work(shapes[i]!, [{ ...pass, angleDeg: 0, reason: '' }], settings),
    };
  });
  return sumUp(piece, parts);
}
