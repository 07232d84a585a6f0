import type { RouteLocationRaw } from 'vue-router';
import { isNarrow } from '../ui/narrow.ts';

/**
 * Where a piece is opened: in a step at the desk, or at the hoop where the window is a phone's, as there most pieces are worked. A new one opens at its
 * drawing everywhere: it has nothing to work yet.
 */
export function pieceRoute(id: string, step: string): RouteLocationRaw {
  return isNarrow() && step !== 'drawing'
    ? { name: 'at-the-hoop', params: { id } }
    : { name: 'piece', params: { id, step } };
}
