import { Planner } from '@junctura/core/advice';
import type { Piece } from '@junctura/core/piece';
import { USUAL_FACTORS } from '@junctura/core/work';
import { Growth, type Sheet } from '../../web/src/picture/growth.ts';
import { paintPicture } from '../../web/src/picture/paintPicture.ts';
import { growingScene, sceneOf, type Scene } from '../../web/src/picture/scene.ts';
import { viewOf, type Size } from '../../web/src/picture/view.ts';

let ready: { readonly still: Scene; readonly growing: Scene; readonly reachMm: number } | null = null;
/** What the painter holds while the picture is looked at. */
const held: unknown[] = [];

function sheetOf(size: Size): Sheet {
  const image = Object.assign(document.createElement('canvas'), size);
  return { ...size, image, brush: image.getContext('2d')! };
}

Object.assign(window, {
  /** Plans a piece: what is taken from then on is the painter's. */
  prepare(piece: Piece): void {
    const workings = new Planner().plan(piece, USUAL_FACTORS);
    ready = {
      still: sceneOf(piece, workings),
      growing: growingScene(piece, workings, workings.plan.order),
      reachMm: (piece.hoop?.nominalMm ?? 150) / 2,
    };
  },
  /** The picture that is seen, the one behind it, and the one that grows with all that it keeps to go back to. */
  paint(size: Size): void {
    const { still, growing, reachMm } = ready!;
    const view = viewOf(reachMm, size);
    for (const sheet of [sheetOf(size), sheetOf(size)]) {
      for (const _ of paintPicture(sheet.brush, still, view, size, 'front'));
      held.push(sheet);
    }
    const growth = new Growth(growing, view, () => sheetOf(size));
    for (const _ of growth.towards(() => growing.threads.length));
    held.push(growth);
  },
});
