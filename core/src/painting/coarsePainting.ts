import { boxOf, InsideGrid, type Direction, type Polyline, type Region } from '../geometry/index.ts';
import { Memory, seededRandom } from '../measure/index.ts';
import { nearestLab, type Lab } from '../colour/index.ts';
import type { PictureBelow } from '../drawing/index.ts';
import { cellAt, colourTable, groundBelow, keyAt, labOfKey } from './ground.ts';
import { pictureField } from './pictureField.ts';

/** What a painting will come to, in few broad strokes. */
export interface CoarsePainting {
  /** Where each stroke lies: `x0, y0, x1, y1, …`, mm on the cloth; later ones lie over earlier ones. */
  readonly strokes: Float32Array;
  /** The number of the shade of each. */
  readonly shades: Uint8Array;
  readonly widthMm: number;
}

/** The width of a stroke, in threads … */
const WIDTHS = 5;
/** … and so long, mm. */
const LENGTH_MM = 6;
/** The share of a stroke that lies free of the next, along and across it. */
const FREE = { along: 0.5, across: 0.62 } as const;
/** The number of places along a stroke at which the picture is looked at. */
const LOOKS = 3;
/** One cell in this many to a side is led by strokes. */
const COARSENESS = 6;

/**
 * A region as it will about be painted from the picture below it, at once: broad strokes along the lie, each in the shade that is nearest to
 * what it lies on.
 * @param lines along which stitches shall lie, mm on the cloth
 * @param shades in which it is worked
 * @param laidMm the width of the thread as it lies
 * @returns null where there is nothing to paint
 */
export function coarsePainting(
  region: Region,
  below: PictureBelow,
  lines: readonly Polyline[],
  shades: readonly Lab[],
  laidMm: number,
  memory = new Memory(),
): CoarsePainting | null {
  const ground = groundBelow(region, below, laidMm, memory);
  const box = boxOf(region);
  if (!ground || !box || shades.length === 0) return null;
  const field = pictureField(ground, region, lines, COARSENESS, memory);
  const labs = colourTable(memory);
  const widthMm = WIDTHS * laidMm;
  const stepMm = Math.sqrt(FREE.along * LENGTH_MM * FREE.across * widthMm);
  const inside = new InsideGrid(region, box, widthMm);
  const random = seededRandom(1);
  const along: Direction = { dx: 1, dy: 0 };
  const strokes: number[] = [];
  const chosen: number[] = [];
  const lab = new Float64Array(3);
  for (let y = box.minY, row = 0; y <= box.maxY; y += stepMm, row++) {
    for (let x = box.minX + (row % 2) * (stepMm / 2); x <= box.maxX; x += stepMm) {
      const [cx, cy] = [x + random.between(-0.2, 0.2) * stepMm, y + random.between(-0.2, 0.2) * stepMm];
      if (!inside.has(cx, cy)) continue;
      field.directionAt(cx, cy, along);
      const back = -inside.reach(cx, cy, -along.dx, -along.dy, LENGTH_MM / 2, laidMm);
      const on = inside.reach(cx, cy, along.dx, along.dy, LENGTH_MM / 2, laidMm);
      let [l, a, b] = [0, 0, 0];
      for (let k = 0; k < LOOKS; k++) {
        const mm = back + ((on - back) * (k + 0.5)) / LOOKS;
        labOfKey(keyAt(ground.rgb, cellAt(ground, cx + mm * along.dx, cy + mm * along.dy)), lab, labs);
        l += lab[0]! / LOOKS;
        a += lab[1]! / LOOKS;
        b += lab[2]! / LOOKS;
      }
      strokes.push(cx + back * along.dx, cy + back * along.dy, cx + on * along.dx, cy + on * along.dy);
      chosen.push(nearestLab({ l, a, b }, shades));
    }
  }
  return { strokes: Float32Array.from(strokes), shades: Uint8Array.from(chosen), widthMm };
}
