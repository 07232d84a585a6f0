import { strandsLike, threadKind } from '../materials/index.ts';
import { setPasses, type Edit, type Pass, type Piece } from '../piece/index.ts';
import { passesAsWorked, type PlannedPart } from './plannedPart.ts';
import * as say from './words.ts';

/**
 * Works parts in another thread, every layer in about as many strands as it lies wide now. What was only proposed is chosen with it.
 * @throws RangeError where there is no such thread
 */
export function workAllIn(piece: Piece, parts: readonly PlannedPart[], threadId: string): Edit | null {
  const to = threadKind(threadId);
  if (!to) throw new RangeError(`workAllIn: no thread '${threadId}'`);
  const inThread = (pass: Pass): Pass =>
    pass.thread === to.id
      ? pass
      : { ...pass, thread: to.id, strands: strandsLike(pass.strands, threadKind(pass.thread)!, to) };
  const changed = parts
    .filter(({ passes }) => passes.some(({ thread }) => thread !== to.id))
    .map((planned) => [planned.part.id, passesAsWorked(planned).map(inThread)] as const);
  return setPasses(piece, new Map(changed), say.workAllIn(to.inSentence));
}
