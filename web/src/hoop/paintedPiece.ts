import type { Workings } from '@junctura/core/advice';
import type { Piece } from '@junctura/core/piece';
import { computed, type ComputedRef } from 'vue';

/**
 * The piece as its picture shows it: it changes with its plan, its colours and its cloth, and with nothing else. A name, a note or an edit
 * that is still being planned paints nothing anew.
 */
export function paintedPiece(
  opened: { readonly piece: Piece },
  workings: { readonly current: Workings | null },
): ComputedRef<Piece> {
  let plannedAs: Workings | null = null;
  return computed((before?: Piece) => {
    const [now, current] = [opened.piece, workings.current];
    const isSame =
      before?.id === now.id && current === plannedAs && before.palette === now.palette && before.cloth === now.cloth;
    plannedAs = current;
    return isSame ? before! : now;
  });
}
