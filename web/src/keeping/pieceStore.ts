import { success, type Outcome } from '@junctura/core/measure';
import { checkPiece, type Piece } from '@junctura/core/piece';
import { Database, type Snapshot, type StoredPiece } from './database.ts';

const SNAPSHOTS_KEPT = 20;
const SNAPSHOT_EVERY_MS = 5 * 60_000;

export type SaveResult =
  | { readonly type: 'saved'; readonly revision: number }
  | { readonly type: 'conflict' }
  | { readonly type: 'refused'; readonly problem: string };

/** Keeps pieces in the browser. Every method answers; none throws for a full, refused or damaged storage. */
export class PieceStore {
  private readonly database = new Database();

  constructor(private readonly now: () => number) {}

  async list(): Promise<Outcome<StoredPiece[]>> {
    return this.database.attempt(async (db) => (await db.getAll('pieces')).sort((a, b) => b.savedAt - a.savedAt));
  }

  /** A stored piece, checked; null where there is none. */
  async load(id: string): Promise<Outcome<{ piece: Piece; revision: number } | null>> {
    const found = await this.database.attempt((db) => db.get('pieces', id));
    if (!found.ok) return found;
    if (!found.value) return success(null);
    const checked = checkPiece(found.value.piece);
    return checked.ok ? success({ piece: checked.value, revision: found.value.revision }) : checked;
  }

  /** Saves in one transaction, if nobody else saved since `basedOn` (0 for a new piece). */
  async save(piece: Piece, basedOn: number): Promise<SaveResult> {
    const outcome = await this.database.attempt(async (db): Promise<SaveResult> => {
      const transaction = db.transaction(['pieces', 'snapshots'], 'readwrite');
      const stored = await transaction.objectStore('pieces').get(piece.id);
      if ((stored?.revision ?? 0) !== basedOn) {
        await transaction.done;
        return { type: 'conflict' };
      }
      const at = this.now();
      const revision = basedOn + 1;
      await transaction.objectStore('pieces').put({ id: piece.id, name: piece.name, savedAt: at, revision, piece });
      const snapshots = transaction.objectStore('snapshots');
      const taken = await snapshots.index('pieceId').getAll(piece.id);
      const last = taken.reduce((latest, snapshot) => Math.max(latest, snapshot.at), 0);
      if (stored && at - last > SNAPSHOT_EVERY_MS)
        await snapshots.add({ pieceId: piece.id, at: stored.savedAt, piece: stored.piece });
      for (const key of (await snapshots.index('pieceId').getAllKeys(piece.id)).slice(0, -SNAPSHOTS_KEPT)) {
        await snapshots.delete(key);
      }
      await transaction.done;
      return { type: 'saved', revision };
    });
    return outcome.ok ? outcome.value : { type: 'refused', problem: outcome.problem };
  }

  async remove(id: string): Promise<Outcome<void>> {
    return this.database.attempt(async (db) => {
      const transaction = db.transaction(['pieces', 'snapshots'], 'readwrite');
      await transaction.objectStore('pieces').delete(id);
      const snapshots = transaction.objectStore('snapshots');
      for (const key of await snapshots.index('pieceId').getAllKeys(id)) await snapshots.delete(key);
      await transaction.done;
    });
  }

  /** Earlier states of a piece, newest first. */
  async snapshots(pieceId: string): Promise<Outcome<Snapshot[]>> {
    return this.database.attempt(async (db) => (await db.getAllFromIndex('snapshots', 'pieceId', pieceId)).reverse());
  }

  /** The share of the browser's storage that is taken, or null where it does not say. */
  async fullness(): Promise<number | null> {
    try {
      const { usage, quota } = await navigator.storage.estimate();
      return usage === undefined || !quota ? null : usage / quota;
    } catch {
      return null;
    }
  }
}
