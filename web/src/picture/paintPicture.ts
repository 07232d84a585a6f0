import type { Brush, Lens } from './brush.ts';
import { LIGHT_X, LIGHT_Y } from './light.ts';
import { paintCloth } from './paintCloth.ts';
import { paintBack, paintFront } from './paintPass.ts';
import { paintScrap } from './paintScrap.ts';
import type { Scene } from './scene.ts';
import type { Size, View } from './view.ts';

export type Side = 'front' | 'back';

/**
 * Paints a scene slice by slice: run the generator to its end at once, or a little at a time.
 * The back is seen as it is when the hoop is turned over, left and right exchanged.
 */
export function* paintPicture(brush: Brush, scene: Scene, view: View, size: Size, side: Side): Generator<void> {
  const flip = side === 'back';
  const lens = lensOf(view, size, flip);
  brush.setTransform(1, 0, 0, 1, 0, 0);
  if (scene.otherwise) return yield* scene.otherwise(brush, lens);
  paintCloth(brush, scene.cloth, scene.clothColour, lens);
  if (flip) brush.setTransform(-1, 0, 0, 1, size.width, 0);
  if (flip) {
    for (const painted of [...scene.threads].reverse()) {
      yield* paintBack(brush, painted, lens);
      yield;
    }
  } else yield* paintWork(brush, scene, lens);
  brush.setTransform(1, 0, 0, 1, 0, 0);
  if (scene.light.falloff) paintFalloff(brush, scene.light.falloff, lens);
}

/** So far from the middle of the cloth stands the lamp, and so far its light reaches, mm. */
const LAMP = { fromMm: 90, reachMm: 260 } as const;

/** The pool of light about a lamp: less of everything the further away it lies. */
function paintFalloff(brush: Brush, [near, far]: readonly [string, string], { pxPerMm, offsetX, offsetY }: Lens): void {
  const [x, y] = [(LIGHT_X * LAMP.fromMm - offsetX) * pxPerMm, (LIGHT_Y * LAMP.fromMm - offsetY) * pxPerMm];
  const pool = brush.createRadialGradient(x, y, 0, x, y, LAMP.reachMm * pxPerMm);
  pool.addColorStop(0.1, near);
  pool.addColorStop(1, far);
  brush.globalCompositeOperation = 'multiply';
  brush.fillStyle = pool;
  brush.fillRect(0, 0, brush.canvas.width, brush.canvas.height);
  brush.globalCompositeOperation = 'source-over';
}

/** What lies on the cloth in front, from back to front: scraps, and threads. */
export function* paintWork(brush: Brush, { threads, scraps }: Scene, lens: Lens): Generator<void> {
  let laid = 0;
  for (let i = 0; i <= threads.length; i++) {
    for (; laid < scraps.length && scraps[laid]!.after <= i; laid++) paintScrap(brush, scraps[laid]!, lens);
    if (i < threads.length) yield* paintFront(brush, threads[i]!, lens);
    yield;
  }
}

/** How the cloth lies on a canvas; from behind left and right are exchanged. */
export function lensOf(view: View, { width, height }: Size, flip: boolean): Lens {
  const [halfX, halfY] = [width / 2 / view.pxPerMm, height / 2 / view.pxPerMm];
  // Turned over, the point in the middle of the window is the mirrored one.
  const centreX = flip ? -view.centreX : view.centreX;
  const [minX, minY] = [centreX - halfX, view.centreY - halfY];
  return {
    pxPerMm: view.pxPerMm,
    offsetX: minX,
    offsetY: minY,
    minX,
    minY,
    maxX: centreX + halfX,
    maxY: view.centreY + halfY,
  };
}
