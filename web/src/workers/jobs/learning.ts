import { isLearnt, learnPicture } from '@junctura/core/painting';
import { isPainted, type PlanInput } from '@junctura/core/piece';
import { blobOfAddress } from '../../keeping/files.ts';
import { drawnSmall, openPicture, pixelsOf } from '../openPicture.ts';

/** More than this along the longer side no hoop piece can show, px. */
const LONGEST_PX = 2400;

/** Decodes the picture below a drawing, where it was not yet. One that can't be read is as good as none: the plan says so. */
export async function learnPictureOf({ drawing: { underlay } }: Pick<PlanInput, 'drawing'>): Promise<void> {
  if (!underlay || isLearnt(underlay.picture)) return;
  const blob = blobOfAddress(underlay.picture);
  const opened = blob && (await openPicture(blob));
  if (opened?.ok) learnPicture(underlay.picture, pixelsOf(drawnSmall(opened.value, LONGEST_PX)));
}

/** The same, where something is painted from it. */
export async function learnWhatIsPainted(piece: Pick<PlanInput, 'drawing'>): Promise<void> {
  if (isPainted(piece.drawing)) await learnPictureOf(piece);
}
