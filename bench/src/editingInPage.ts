import { Planner } from '@junctura/core/advice';
import type { Piece } from '@junctura/core/piece';
import { USUAL_FACTORS } from '@junctura/core/work';
import { paintPicture } from '../../web/src/picture/paintPicture.ts';
import { sceneOf } from '../../web/src/picture/scene.ts';
import { viewOf } from '../../web/src/picture/view.ts';
import { median } from './median.ts';

/** The parts of what an edit makes one wait for, each alone, ms. */
export interface EditParts {
  /** The plan again, after one part was changed. */
  readonly planMs: number;
  /** The whole picture at the size at which it is shown. */
  readonly paintMs: number;
  readonly frameMs: number;
}

const ROUNDS = 9;

async function editParts(piece: Piece, partId: string): Promise<EditParts> {
  const shown = document.querySelector<HTMLCanvasElement>('canvas.picture')!;
  const size = { width: shown.width, height: shown.height };
  const canvas = Object.assign(document.createElement('canvas'), size);
  const brush = canvas.getContext('2d')!;
  const planner = new Planner();
  planner.plan(piece, USUAL_FACTORS);
  const at = piece.drawing.parts.findIndex(({ id }) => id === partId);
  const [plans, paints, frames]: number[][] = [[], [], []];
  for (let i = 0; i < ROUNDS; i++) {
    const part = piece.drawing.parts[at]!;
    const passes = part.passes!.map((pass) => ({ ...pass, strands: 1 + (i % 3) }));
    const changed = {
      ...piece,
      drawing: { ...piece.drawing, parts: piece.drawing.parts.with(at, { ...part, passes }) },
    };
    const begun = performance.now();
    const workings = planner.plan(changed, USUAL_FACTORS);
    plans!.push(performance.now() - begun);
    const painted = performance.now();
    const view = viewOf((piece.hoop?.nominalMm ?? 150) / 2, size);
    for (const _ of paintPicture(brush, sceneOf(changed, workings), view, size, 'front'));
    // Reading a pixel makes the browser carry out what it has put off.
    brush.getImageData(0, 0, 1, 1);
    paints!.push(performance.now() - painted);
    const frame = performance.now();
    await new Promise(requestAnimationFrame);
    await new Promise(requestAnimationFrame);
    frames!.push((performance.now() - frame) / 2);
  }
  return { planMs: median(plans!), paintMs: median(paints!), frameMs: median(frames!) };
}

Object.assign(window, { editParts });
