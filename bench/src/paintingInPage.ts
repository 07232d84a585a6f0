import { USUAL_FACTORS } from '@junctura/core/work';
import { Planner } from '@junctura/core/advice';
import { finishPlan } from '@junctura/core/finish';
import type { Piece } from '@junctura/core/piece';
import { paintPicture } from '../../web/src/picture/paintPicture.ts';
import { finishedScene } from '../../web/src/picture/paintFinished.ts';
import { Growth } from '../../web/src/picture/growth.ts';
import { growingScene, sceneOf } from '../../web/src/picture/scene.ts';
import { viewOf } from '../../web/src/picture/view.ts';
import { medianMs } from './median.ts';

const AT_THE_DESK = { width: 1000, height: 1000 };
const ROUNDS = 7;

export interface PaintingTimes {
  readonly stitches: number;
  /** Painting the stitched view, stroking as many plain segments, and moving the last picture, ms. */
  readonly paintingMs: number;
  readonly plainMs: number;
  readonly movingMs: number;
  /** The first picture, at a quarter of the size, ms. */
  readonly roughMs: number;
  /** The piece as it will be, as a patch on denim, ms. */
  readonly finishedMs: number;
  /** A step on in the picture that grows, in the mean and at most, ms. */
  readonly stepMs: number;
  readonly longestStepMs: number;
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
  const paintingMs = medianMs(() => {
    for (const _ of paintPicture(brush, scene, view, size, 'front'));
    settle(brush);
  }, ROUNDS);
  const look = finishPlan({ ...piece, finish: { ...piece.finish, end: 'patch' } }, workings.plan, USUAL_FACTORS).look;
  const finished = finishedScene(piece, workings, look);
  const finishedMs = medianMs(() => {
    for (const _ of paintPicture(brush, finished, view, size, 'front'));
    settle(brush);
  }, ROUNDS);
  const quarter = { width: size.width / 4, height: size.height / 4 };
  const small = Object.assign(document.createElement('canvas'), quarter).getContext('2d')!;
  const roughMs = medianMs(() => {
    for (const _ of paintPicture(small, scene, { ...view, pxPerMm: view.pxPerMm / 4 }, quarter, 'front'));
    settle(small);
  }, ROUNDS);
  let shift = 0;
  const movingMs = medianMs(() => {
    shift = (shift + 7) % 60;
    onScreen.setTransform(1 + shift / 200, 0, 0, 1 + shift / 200, shift, -shift);
    onScreen.drawImage(canvas, 0, 0);
    settle(onScreen);
  }, ROUNDS);
  const plainMs = medianMs(() => {
    brush.lineWidth = 2;
    for (let i = 0; i < stitches; i++) {
      brush.strokeStyle = i % 2 ? '#345' : '#543';
      brush.beginPath();
      brush.moveTo((i * 37) % 1000, (i * 53) % 1000);
      brush.lineTo(((i * 37) % 1000) + 20, ((i * 53) % 1000) + 9);
      brush.stroke();
    }
    settle(brush);
  }, ROUNDS);
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
  const stepMs = steps.reduce((sum, ms) => sum + ms, 0) / Math.max(1, steps.length);
  return { stitches, paintingMs, finishedMs, plainMs, movingMs, roughMs, stepMs, longestStepMs: Math.max(0, ...steps) };
}

Object.assign(window, { paintingTimes });
