import type { RouteLocationRaw } from 'vue-router';
import { isNarrow } from '../ui/narrow.ts';

/** Where a piece is opened: in a step at the desk, or at the hoop where the window is a phone's, as there a piece is worked, not planned. */
export function pieceRoute(id: string, step: string): RouteLocationRaw {
  return isNarrow() ? { name: 'at-the-hoop', params: { id } } : { name: 'piece', params: { id, step } };
}
