import type { Piece } from '@junctura/core/piece';
import { checkPiece } from '@junctura/core/piece';

/**
 * What a page could not save before it was closed or reloaded. The browser's database answers too late for that; `localStorage` takes it
 * at once. It is taken up again when the piece is opened next.
 */
const KEY = 'junctura-unsaved-';

export interface Unsaved {
  readonly piece: Piece;
  /** The revision that it builds on. */
  readonly basedOn: number;
}

/** Puts a state aside. Answers whether there was room for it. */
export function putAside({ piece, basedOn }: Unsaved): boolean {
  try {
    localStorage.setItem(KEY + piece.id, JSON.stringify({ piece, basedOn }));
    return true;
  } catch {
    return false;
  }
}

/** What was put aside of a piece; null where nothing was, or it can't be read. */
export function takeUp(id: string): Unsaved | null {
  try {
    const { piece, basedOn } = JSON.parse(localStorage.getItem(KEY + id) ?? 'null') as Unsaved;
    const checked = checkPiece(piece);
    return checked.ok && Number.isInteger(basedOn) ? { piece: checked.value, basedOn } : null;
  } catch {
    return null;
  }
}

export function forget(id: string): void {
  try {
    localStorage.removeItem(KEY + id);
  } catch {
    // Without storage nothing was put aside.
  }
}
