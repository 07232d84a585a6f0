import { channelsOf } from '../colour/index.ts';
import { Memory } from '../measure/index.ts';
import { groundBelow, judgePainting, pictureBelow, type PaintingReport, type Pictures } from '../painting/index.ts';
import { colourName, colourOf, isPainting, type PlanInput } from '../piece/index.ts';
import type { PlannedPart } from './plannedPart.ts';

/** How near a painted part comes to the picture below it; null where it is not painted, or the picture is not there. */
export function judgePainted(
  piece: PlanInput,
  { placed, passes }: PlannedPart,
  pictures: Pictures,
  memory = new Memory(),
): PaintingReport | null {
  const pass = passes.find(isPainting);
  const below = pass && pictureBelow(piece, pictures);
  const ground = below && groundBelow(placed.shape.region, below, pass.laidMm, memory);
  if (!pass || !ground) return null;
  const bytesOf = (id: string | null): readonly [number, number, number] =>
    channelsOf(id === null ? piece.cloth.colour : colourName(colourOf(piece, id)).hex);
  return judgePainting(placed.shape.region, ground, {
    path: pass.path,
    shades: pass.shades.map(bytesOf),
    laidMm: pass.laidMm,
    cloth: bytesOf(null),
  });
}
