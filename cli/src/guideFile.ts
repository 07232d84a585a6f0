import type { Workings } from '@junctura/core/advice';
import { finishPlan } from '@junctura/core/finish';
import { guideHtml, makeGuide } from '@junctura/core/paper';
import type { End, Piece } from '@junctura/core/piece';
import { USUAL_FACTORS } from '@junctura/core/work';
import type { GuideFileOptions } from './options.ts';
import { pictureBytes } from './pictures.ts';

/** How finely the picture of a guide is painted, dots to the inch. */
const PICTURE_DPI = 150;

/**
 * The guide of a planned piece as one web page; without the package that paints, it has no picture of the whole.
 * @param end what the piece becomes; null: as the piece says
 */
export async function guideText(
  { hand }: GuideFileOptions,
  piece: Piece,
  workings: Workings,
  end: End | null,
): Promise<string> {
  const ended = end ? { ...piece, finish: { ...piece.finish, end } } : piece;
  const finish = finishPlan(ended, workings.plan, USUAL_FACTORS);
  const guide = makeGuide(ended, workings.plan, finish, { hand: hand ?? piece.worker.hand, units: 'metric' });
  const picture = await pictureBytes({ dpi: PICTURE_DPI, side: 'front' }, ended, workings);
  const address = picture.ok ? `data:image/png;base64,${Buffer.from(picture.value).toString('base64')}` : null;
  return guideHtml(guide, address);
}
