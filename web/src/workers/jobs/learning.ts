import { isLearnt, learnPicture } from '@junctura/core/painting';
import { isPainted, type PlanInput } from '@junctura/core/piece';
import { pixelsOfAddress } from '../openPicture.ts';

/** More than this along the longer side no hoop piece can show, px. */
const LONGEST_PX = 2400;

/** Decodes the picture below a drawing, where it was not yet. One that can't be read is as good as none: the plan says so. */
export async function learnPictureOf({ drawing: { underlay } }: Pick<PlanInput, 'drawing'>): Promise<void> {
  if (!underlay || isLearnt(underlay.picture)) return;
  const pixels = await pixelsOfAddress(underlay.picture, LONGEST_PX);
  if (pixels) learnPicture(underlay.picture, pixels);
}

/** The same, where something is painted from it. */
export async function learnWhatIsPainted(piece: Pick<PlanInput, 'drawing'>): Promise<void> {
  if (isPainted(piece.drawing)) await learnPictureOf(piece);
}
