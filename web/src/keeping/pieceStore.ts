import { mergeRecords } from '@junctura/core/log';
import { success, type Outcome } from '@junctura/core/measure';
import {
  checkPiece,
  checkPieceFile,
  recordSchema,
  type Piece,
  type PieceFile,
  type PieceRecord,
  type RecordEntry,
} from '@junctura/core/piece';
import { Database, type Snapshot, type StoredEntry, type StoredPhoto, type StoredPiece } from './database.ts';

const SNAPSHOTS_KEPT = 20;
const SNAPSHOT_EVERY_MS = 5 * 60_000;

export type SaveResult =
  | { readonly type: 'saved'; readonly revision: number }
  /** Somebody else saved it meanwhile, or removed it. */
  | { readonly type: 'conflict'; readonly isGone: boolean }
  | { readonly type: 'refused'; readonly problem: string };

/** A stored piece with its record, and the revision that the next save builds on. */
export interface LoadedPiece extends PieceFile {
  readonly revision: number;
}

const ALL_OF_A_PIECE = ['pieces', 'snapshots', 'entries', 'thumbnails', 'photographs'] as const;

/** A piece that was taken off the bench, as it was stored. */
export interface RemovedPiece {
  readonly stored: StoredPiece | null;
  readonly snapshots: readonly Snapshot[];
  readonly entries: readonly StoredEntry[];
  readonly photographs: readonly StoredPhoto[];
}

/** Keeps pieces and their records in the browser. Every method answers; none throws for a full, refused or damaged storage. */
export class PieceStore {
  private readonly database = new Database();

  constructor(private readonly now: () => number) {}

  async list(): Promise<Outcome<StoredPiece[]>> {
    return this.database.attempt(async (db) => (await db.getAll('pieces')).sort((a, b) => b.savedAt - a.savedAt));
  }

  /** A stored piece with its record, checked; null where there is none. */
  async load(id: string): Promise<Outcome<LoadedPiece | null>> {
    const found = await this.database.attempt(async (db) => ({
      stored: await db.get('pieces', id),
      entries: await db.getAllFromIndex('entries', 'pieceId', id),
    }));
    if (!found.ok) return found;
    const { stored, entries } = found.value;
    if (!stored) return success(null);
    const checked = checkPieceFile(stored.piece);
    if (!checked.ok) return checked;
    // Before version 5 the record lay in the piece: it is brought over before a save would leave it out.
    const { piece, record } = checked.value;
    const brought = await this.addEntries(id, record);
    if (!brought.ok) return brought;
    return success({ piece, record: mergeRecords(record, readable(entries)), revision: stored.revision });
  }

  /** What was noted of a piece, whether the piece itself was ever changed and stored or not. */
  async recordOf(id: string): Promise<RecordEntry[]> {
    const found = await this.database.attempt((db) => db.getAllFromIndex('entries', 'pieceId', id));
    return found.ok ? readable(found.value) : [];
  }

  /** The revision that is stored of a piece; 0: none is. */
  async revisionOf(id: string): Promise<Outcome<number>> {
    return this.database.attempt(async (db) => (await db.get('pieces', id))?.revision ?? 0);
  }

  /** The ids of the entries that are stored of a piece. */
  async storedEntries(pieceId: string): Promise<Outcome<ReadonlySet<string>>> {
    return this.database.attempt(async (db) => {
      const keys = await db.getAllKeysFromIndex('entries', 'pieceId', pieceId);
      return new Set(keys.map(([, id]) => id));
    });
  }

  /** Saves in one transaction, if nobody else saved since `basedOn` (0 for a new piece). The record is not touched. */
  async save(piece: Piece, basedOn: number): Promise<SaveResult> {
    const outcome = await this.database.attempt(async (db): Promise<SaveResult> => {
      const transaction = db.transaction(['pieces', 'snapshots'], 'readwrite');
      const pieces = transaction.objectStore('pieces');
      const stored = await pieces.get(piece.id);
      if ((stored?.revision ?? 0) !== basedOn) {
        await transaction.done;
        return { type: 'conflict', isGone: stored === undefined };
      }
      const [at, revision] = [this.now(), basedOn + 1];
      const isDue = stored !== undefined && Math.abs(at - (stored.snapshotAt ?? 0)) > SNAPSHOT_EVERY_MS;
      const snapshotAt = isDue ? at : (stored?.snapshotAt ?? 0);
      await pieces.put({ id: piece.id, name: piece.name, savedAt: at, revision, piece, snapshotAt });
      if (isDue) {
        const snapshots = transaction.objectStore('snapshots');
        await snapshots.add({ pieceId: piece.id, at: stored.savedAt, piece: stored.piece });
        const keys = await snapshots.index('pieceId').getAllKeys(piece.id);
        for (const key of keys.slice(0, -SNAPSHOTS_KEPT)) await snapshots.delete(key);
      }
      await transaction.done;
      return { type: 'saved', revision };
    });
    return outcome.ok ? outcome.value : { type: 'refused', problem: outcome.problem };
  }

  /** Puts entries into the record of a piece. One that is there already stays as it is: entries never change. */
  async addEntries(pieceId: string, entries: PieceRecord): Promise<Outcome<void>> {
    if (entries.length === 0) return success(undefined);
    return this.database.attempt(async (db) => {
      const transaction = db.transaction('entries', 'readwrite');
      for (const entry of entries) void transaction.store.put({ pieceId, id: entry.id, entry });
      await transaction.done;
    });
  }

  /** The records of all pieces, by the id of the piece. */
  async allRecords(): Promise<Outcome<ReadonlyMap<string, RecordEntry[]>>> {
    const found = await this.database.attempt((db) => db.getAll('entries'));
    if (!found.ok) return found;
    return success(recordsByPiece(found.value));
  }

  /** Keeps a state of a piece among its earlier ones, without making it the present one. One that is there already is not kept twice. */
  async keepState(piece: Piece): Promise<Outcome<void>> {
    return this.database.attempt(async (db) => {
      const earlier = await db.getAllFromIndex('snapshots', 'pieceId', piece.id);
      const text = JSON.stringify(piece);
      if (earlier.some((snapshot) => JSON.stringify(snapshot.piece) === text)) return;
      await db.add('snapshots', { pieceId: piece.id, at: this.now(), piece });
    });
  }

  /** Takes a piece off the bench with all that belongs to it. What was removed is the answer, as it was stored, readable or not. */
  async remove(id: string): Promise<Outcome<RemovedPiece>> {
    return this.database.attempt(async (db) => {
      const transaction = db.transaction(ALL_OF_A_PIECE, 'readwrite');
      const pieces = transaction.objectStore('pieces');
      const snapshots = transaction.objectStore('snapshots');
      const entries = transaction.objectStore('entries');
      const photographs = transaction.objectStore('photographs');
      const removed: RemovedPiece = {
        stored: (await pieces.get(id)) ?? null,
        snapshots: await snapshots.index('pieceId').getAll(id),
        entries: await entries.index('pieceId').getAll(id),
        photographs: await photographs.index('pieceId').getAll(id),
      };
      await pieces.delete(id);
      await transaction.objectStore('thumbnails').delete(id);
      for (const key of await snapshots.index('pieceId').getAllKeys(id)) await snapshots.delete(key);
      for (const key of await entries.index('pieceId').getAllKeys(id)) await entries.delete(key);
      for (const key of await photographs.index('pieceId').getAllKeys(id)) await photographs.delete(key);
      await transaction.done;
      return removed;
    });
  }

  /** Puts back what was removed, just as it was. */
  async putBack({ stored, snapshots, entries, photographs }: RemovedPiece): Promise<Outcome<void>> {
    return this.database.attempt(async (db) => {
      const transaction = db.transaction(ALL_OF_A_PIECE, 'readwrite');
      if (stored) void transaction.objectStore('pieces').put(stored);
      for (const snapshot of snapshots) void transaction.objectStore('snapshots').put(snapshot);
      for (const entry of entries) void transaction.objectStore('entries').put(entry);
      for (const photograph of photographs) void transaction.objectStore('photographs').put(photograph);
      await transaction.done;
    });
  }

  /** Earlier states of a piece, newest first. */
  async snapshots(pieceId: string): Promise<Outcome<Snapshot[]>> {
    return this.database.attempt(async (db) => (await db.getAllFromIndex('snapshots', 'pieceId', pieceId)).reverse());
  }
}

/** A piece as it is read: whatever order its fields were written in, whatever version wrote it. */
export function textOf(piece: unknown): string {
  const checked = checkPiece(piece);
  return JSON.stringify(checked.ok ? checked.value : piece);
}

/** What of stored entries can be read, by the id of the piece. */
export function recordsByPiece(stored: readonly StoredEntry[]): Map<string, RecordEntry[]> {
  const records = new Map<string, RecordEntry[]>();
  for (const { pieceId, entry } of stored) {
    const record = records.get(pieceId) ?? [];
    record.push(...readableEntries([entry]));
    records.set(pieceId, record);
  }
  return records;
}

function readable(stored: readonly StoredEntry[]): RecordEntry[] {
  return readableEntries(stored.map(({ entry }) => entry));
}

/** The entries that can be read; one that is damaged is passed over, and stays where it is. */
export function readableEntries(entries: readonly unknown[]): RecordEntry[] {
  return entries.flatMap((entry) => {
    const checked = recordSchema.element.safeParse(entry);
    return checked.success ? [checked.data] : [];
  });
}
