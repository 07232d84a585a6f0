import { Planner } from '@junctura/core/advice';
import type { Piece } from '@junctura/core/piece';
import { paintPicture } from '../../web/src/picture/paintPicture.ts';
import { sceneOf } from '../../web/src/picture/scene.ts';
import { viewOf } from '../../web/src/picture/view.ts';
import { medianMs } from './median.ts';

const SIZE = { width: 1000, height: 1000 };
const ROUNDS = 15;

/** The ratio of painting a piece's stitched view to stroking as many plain segments on the same canvas. */
function paintingRatio(piece: Piece): { stitches: number; ratio: number } {
  const workings = new Planner().plan(piece);
  const canvas = document.createElement('canvas');
  Object.assign(canvas, SIZE);
  const brush = canvas.getContext('2d')!;
  const scene = sceneOf(piece, workings);
  const view = viewOf((piece.hoop?.nominalMm ?? 150) / 2, SIZE);
  const { stitches } = workings.plan.totals;
  // Reading a pixel makes the browser carry out what it has put off.
  const settle = (): void => void brush.getImageData(0, 0, 1, 1);
  const painting = medianMs(() => {
    for (const _ of paintPicture(brush, scene, view, SIZE, 'front'));
    settle();
  }, ROUNDS);
  const plain = medianMs(() => {
    brush.lineWidth = 2;
    for (let i = 0; i < stitches; i++) {
      brush.strokeStyle = i % 2 ? '#345' : '#543';
      brush.beginPath();
      brush.moveTo((i * 37) % 1000, (i * 53) % 1000);
      brush.lineTo(((i * 37) % 1000) + 20, ((i * 53) % 1000) + 9);
      brush.stroke();
    }
    settle();
  }, ROUNDS);
  return { stitches, ratio: painting / plain };
}

Object.assign(window, { paintingRatio });
