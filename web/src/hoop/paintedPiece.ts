import type { Workings } from '@junctura/core/advice';
import type { Piece } from '@junctura/core/piece';
import { computed, type ComputedRef } from 'vue';
import { hasLost } from '../session/workings.ts';

/**
 * The piece as its picture shows it: it changes with its plan, its colours and its cloth, and with nothing else. A name, a note or an edit
 * that is still being planned paints nothing anew; a colour that is gone from the palette is seen until the plan without it is there.
 */
export function paintedPiece(
  opened: { readonly piece: Piece },
  workings: { readonly current: Workings | null },
): ComputedRef<Piece> {
  let plannedAs: Workings | null = null;
  return computed((before?: Piece) => {
    const [now, current] = [opened.piece, workings.current];
    const isPlanned = before?.id === now.id && current === plannedAs;
    const isSame =
      isPlanned &&
      ((before.palette === now.palette && before.cloth === now.cloth) || hasLost(before.palette, now.palette));
    plannedAs = current;
    return isSame ? before! : now;
  });
}
