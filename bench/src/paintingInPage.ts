import { USUAL_FACTORS } from '@junctura/core/work';
import { Planner } from '@junctura/core/advice';
import { finishPlan } from '@junctura/core/finish';
import type { Piece } from '@junctura/core/piece';
import { paintPicture } from '../../web/src/picture/paintPicture.ts';
import { finishedScene } from '../../web/src/picture/paintFinished.ts';
import { Growth } from '../../web/src/picture/growth.ts';
import { growingScene, sceneOf } from '../../web/src/picture/scene.ts';
import { viewOf } from '../../web/src/picture/view.ts';
import { medianMs, medianRatio } from './median.ts';

const AT_THE_DESK = { width: 1000, height: 1000 };
const ROUNDS = 11;

export interface PaintingTimes {
  readonly stitches: number;
  /** Painting the stitched view, ms. */
  readonly paintingMs: number;
  /** Against stroking as many plain segments. */
  readonly toPlain: number;
  /** Against painting it: as it will be, as a patch; the first picture, at a quarter of the size; moving the last one. */
  readonly finished: number;
  readonly rough: number;
  readonly moving: number;
  /** A step on in the picture that grows, against painting it, in the mean and at most. */
  readonly step: number;
  readonly longestStep: number;
}

function paintingTimes(piece: Piece, size = AT_THE_DESK): PaintingTimes {
  const workings = new Planner().plan(piece, USUAL_FACTORS);
  const canvas = document.createElement('canvas');
  const screen = document.createElement('canvas');
  Object.assign(canvas, size);
  Object.assign(screen, size);
  const brush = canvas.getContext('2d')!;
  const onScreen = screen.getContext('2d')!;
  const scene = sceneOf(piece, workings);
  const view = viewOf((piece.hoop?.nominalMm ?? 150) / 2, size);
  const { stitches } = workings.plan.totals;
  // Reading a pixel makes the browser carry out what it has put off.
  const settle = (target: CanvasRenderingContext2D): void => void target.getImageData(0, 0, 1, 1);
  const paint = (): void => {
    for (const _ of paintPicture(brush, scene, view, size, 'front'));
    settle(brush);
  };
  const strokePlainly = (): void => {
    brush.lineWidth = 2;
    for (let i = 0; i < stitches; i++) {
      brush.strokeStyle = i % 2 ? '#345' : '#543';
      brush.beginPath();
      brush.moveTo((i * 37) % 1000, (i * 53) % 1000);
      brush.lineTo(((i * 37) % 1000) + 20, ((i * 53) % 1000) + 9);
      brush.stroke();
    }
    settle(brush);
  };
  const look = finishPlan({ ...piece, finish: { ...piece.finish, end: 'patch' } }, workings.plan, USUAL_FACTORS).look;
  const finished = finishedScene(piece, workings, look);
  const paintFinished = (): void => {
    for (const _ of paintPicture(brush, finished, view, size, 'front'));
    settle(brush);
  };
  const quarter = { width: size.width / 4, height: size.height / 4 };
  const small = Object.assign(document.createElement('canvas'), quarter).getContext('2d')!;
  const paintRoughly = (): void => {
    for (const _ of paintPicture(small, scene, { ...view, pxPerMm: view.pxPerMm / 4 }, quarter, 'front'));
    settle(small);
  };
  let shift = 0;
  const move = (): void => {
    shift = (shift + 7) % 60;
    onScreen.setTransform(1 + shift / 200, 0, 0, 1 + shift / 200, shift, -shift);
    onScreen.drawImage(canvas, 0, 0);
    settle(onScreen);
  };
  const growing = growingScene(piece, workings, workings.plan.order);
  const growth = new Growth(growing, view, () => {
    const image = Object.assign(document.createElement('canvas'), size);
    return { ...size, image, brush: image.getContext('2d')! };
  });
  const steps = growing.threads.map((_, i) => {
    const begun = performance.now();
    for (const __ of growth.towards(() => i + 1));
    settle(growth.sheet.brush as CanvasRenderingContext2D);
    return performance.now() - begun;
  });
  const paintingMs = medianMs(paint, ROUNDS);
  return {
    stitches,
    paintingMs,
    toPlain: medianRatio(paint, strokePlainly, ROUNDS),
    finished: medianRatio(paintFinished, paint, ROUNDS),
    rough: medianRatio(paintRoughly, paint, ROUNDS),
    moving: medianRatio(move, paint, ROUNDS),
    step: steps.reduce((sum, ms) => sum + ms, 0) / Math.max(1, steps.length) / paintingMs,
    longestStep: Math.max(0, ...steps) / paintingMs,
  };
}

Object.assign(window, { paintingTimes });
