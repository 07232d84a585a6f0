import type { FinishPlan } from '../../finish/index.ts';
import type { Piece } from '../../piece/index.ts';
import type { Plan } from '../../thread/index.ts';
import type { Guide, GuideContext, GuideOptions } from './blocks.ts';
import { beginningBlocks, materialBlocks } from './beginning.ts';
import { finishBlocks, sittingBlocks, templateBlocks, tickBlocks } from './ending.ts';
import { mapBlocks, stepBlocks } from './stepBlocks.ts';
import { stepNotes } from './stepNotes.ts';
import { stitchBlocks } from './stitchBlocks.ts';
import { threadLetters } from './threadLetters.ts';

/**
 * The guide of a piece: a book by which someone who has never seen Junctura works it from the bare cloth to the finished thing.
 * @param finish how it is finished
 */
export function makeGuide(piece: Piece, plan: Plan, finish: FinishPlan, options: GuideOptions): Guide {
  const notes = stepNotes(piece, plan, options.units);
  const context: GuideContext = { piece, plan, finish, options, notes, letters: threadLetters(plan) };
  return {
    piece,
    plan,
    title: piece.name || 'A piece',
    notes,
    blocks: [
      ...beginningBlocks(context),
      ...materialBlocks(context),
      ...mapBlocks(context),
      ...stepBlocks(context),
      ...stitchBlocks(context),
      ...finishBlocks(context),
      ...sittingBlocks(context),
      ...tickBlocks(context),
      ...templateBlocks(context),
    ],
  };
}
