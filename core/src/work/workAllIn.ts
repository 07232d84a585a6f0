import { strandsLike, threadKind, type ThreadId } from '../materials/index.ts';
import { setPasses, type Edit, type Pass, type Piece } from '../piece/index.ts';
import { passesAsWorked, type PlannedPart } from './plannedPart.ts';
import * as say from './words.ts';

/** Works parts in another thread, every layer in about as many strands as it lies wide now. What was only suggested is chosen with it. */
export function workAllIn(piece: Piece, parts: readonly PlannedPart[], id: ThreadId): Edit | null {
  const to = threadKind(id);
  const inThread = (pass: Pass): Pass =>
    pass.thread === to.id
      ? pass
      : { ...pass, thread: to.id, strands: strandsLike(pass.strands, threadKind(pass.thread), to) };
  const changed = parts
    .filter(({ passes }) => passes.some(({ thread }) => thread !== to.id))
    .map((planned) => [planned.part.id, passesAsWorked(planned).map(inThread)] as const);
  return setPasses(piece, new Map(changed), say.workAllIn(to.inSentence));
}
