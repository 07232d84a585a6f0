import { Planner } from '@junctura/core/advice';
import { setPasses, applyEdit, type Piece } from '@junctura/core/piece';
import { USUAL_FACTORS } from '@junctura/core/work';
import { paintPicture } from '../../web/src/picture/paintPicture.ts';
import { sceneOf } from '../../web/src/picture/scene.ts';
import { viewOf } from '../../web/src/picture/view.ts';
import { medianMs } from './median.ts';

const ROUNDS = 5;

/** What an edit of one part must take at the least, ms: planning the piece again, and painting it in a size, px. */
function leastTimes(
  piece: Piece,
  partId: string,
  size: { width: number; height: number },
): { planMs: number; paintMs: number } {
  const planner = new Planner();
  const first = planner.plan(piece, USUAL_FACTORS);
  const planned = first.plan.parts.find(({ part }) => part.id === partId)!;
  let strands = 1;
  const planMs = medianMs(() => {
    strands = 3 - strands;
    const passes = planned.passes.map(
      ({ role, stitch, params, angleDeg, direction, points, colour, shades, thread }) => ({
        ...{ role, stitch, params, angleDeg, direction, points, colour, shades, thread, second: null },
        strands,
      }),
    );
    const edit = setPasses(piece, new Map([[partId, passes]]), 'Strands');
    const changed = edit && applyEdit(piece, edit);
    planner.plan(changed?.ok ? changed.value : piece, USUAL_FACTORS);
  }, ROUNDS);
  const canvas = new OffscreenCanvas(size.width, size.height);
  const brush = canvas.getContext('2d')!;
  const scene = sceneOf(piece, first);
  const view = viewOf((piece.hoop?.nominalMm ?? 150) / 2, size);
  const paintMs = medianMs(() => {
    for (const _ of paintPicture(brush, scene, view, size, 'front'));
    brush.getImageData(0, 0, 1, 1);
  }, ROUNDS);
  return { planMs, paintMs };
}

Object.assign(window, { leastTimes });
