import { boxOf, type Region } from '@junctura/core/geometry';
import { Move } from '@junctura/core/stitches';
import type { WorkedThread } from '@junctura/core/work';
import { through, type Brush, type Lens } from './brush.ts';
import { DETAIL_PX } from './runBatch.ts';
import { LIGHT_X, LIGHT_Y } from './light.ts';
import type { PaintedThread } from './scene.ts';

/** Thread stands so high off the cloth, in thicknesses of what goes through the needle. */
const STANDS = 0.55;

/**
 * The shade that a thread throws, away from the light, all of it before the thread is painted: it falls on the cloth and on what lies below,
 * not on the thread itself. Seen so small that no edge is drawn there is none; where strands are seen each throws its own.
 */
export function castShade(brush: Brush, painted: PaintedThread, lens: Lens): void {
  const { pass, thread, light, caster } = painted;
  const width = pass.laidMm * lens.pxPerMm;
  if (caster === null || width < DETAIL_PX.edged || width >= DETAIL_PX.strands) return;
  const high = light.reach * (STANDS * pass.bundleMm + pass.liftMm);
  if (caster === 'runs') castByRuns(brush, painted, lens, high);
  else {
    const lift = light.reach * highestOf(thread);
    castWhole(brush, caster, lens, high + lift);
  }
}

const SHADE = 'rgba(34, 26, 14, 0.2)';

function castWhole(brush: Brush, region: Region, lens: Lens, highMm: number): void {
  const { toX, toY, sees } = through(lens);
  const box = boxOf(region);
  if (!box || !sees(box.minX, box.minY, box.maxX, box.maxY, 2 * highMm)) return;
  brush.fillStyle = SHADE;
  brush.beginPath();
  for (const ring of region) {
    for (let i = 0; i < ring.length; i += 2) {
      const [x, y] = [toX(ring[i]! - LIGHT_X * highMm), toY(ring[i + 1]! - LIGHT_Y * highMm)];
      if (i === 0) brush.moveTo(x, y);
      else brush.lineTo(x, y);
    }
  }
  brush.fill('evenodd');
}

/** The number of runs that throw one shade: enough that what lies over itself is darkened once, few enough to be quick. */
const MOST_TOGETHER = 24;

function castByRuns(brush: Brush, { pass, thread, light }: PaintedThread, lens: Lens, highMm: number): void {
  const { codes, xy } = thread.path;
  const { toX, toY, sees } = through(lens);
  let [x, y, lift, together, isDrawn, goesOn] = [0, 0, 0, 0, false, false];
  brush.lineJoin = 'bevel';
  brush.strokeStyle = SHADE;
  brush.lineWidth = pass.laidMm * lens.pxPerMm;
  brush.beginPath();
  for (let i = 0; i < codes.length; i++) {
    const code = codes[i];
    const [mx, my] = [xy[2 * i]!, xy[2 * i + 1]!];
    if (code === Move.lift) lift = light.reach * mx;
    if (code === Move.lift || code === Move.travel || code === Move.wrap) continue;
    const isLaid = code !== Move.up;
    const isSeen = isLaid && sees(x, y, mx, my, pass.laidMm + 2);
    if (isSeen) {
      const [sx, sy] = [-LIGHT_X * (highMm + lift), -LIGHT_Y * (highMm + lift)];
      // A loop throws its shade in one.
      if (!goesOn) brush.moveTo(toX(x + sx), toY(y + sy));
      brush.lineTo(toX(mx + sx), toY(my + sy));
      isDrawn = true;
    }
    // Those out of sight count, too: what is seen throws the same shade however much of the picture is painted.
    if (isLaid && ++together === MOST_TOGETHER) {
      if (isDrawn) brush.stroke();
      brush.beginPath();
      [together, isDrawn] = [0, false];
    }
    goesOn = isSeen && together > 0 && code !== Move.down;
    [x, y] = [mx, my];
  }
  if (isDrawn) brush.stroke();
}

/** How high a thread lies over its own padding at most, mm. */
function highestOf({ path: { codes, xy } }: WorkedThread): number {
  let highest = 0;
  for (let i = codes.indexOf(Move.lift); i >= 0; i = codes.indexOf(Move.lift, i + 1)) {
    highest = Math.max(highest, xy[2 * i]!);
  }
  return highest;
}
