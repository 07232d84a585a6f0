import type { Outcome } from '@junctura/core/measure';
import type { ThreadBox } from '@junctura/core/materials';
import {
  Database,
  type KeptDocument,
  type Snapshot,
  type StoredEntry,
  type StoredPhoto,
  type StoredPiece,
} from './database.ts';

/** Under which name the thread box is kept. */
export const BOX_KEY = 'thread-box';

/** All that a person made, as it is stored. Little pictures are not among it: they are painted again. */
export interface BenchContent {
  readonly pieces: readonly StoredPiece[];
  readonly entries: readonly StoredEntry[];
  readonly photographs: readonly StoredPhoto[];
  /** Earlier states of pieces. */
  readonly snapshots: readonly Snapshot[];
  /** As it is kept, unchecked; null: none was ever kept. */
  readonly box: unknown;
}

/** What is put on the bench beside what is there. */
export type Addition = Omit<BenchContent, 'box'> & { readonly box: ThreadBox | null };

const STORES = ['pieces', 'snapshots', 'entries', 'thumbnails', 'photographs', 'documents'] as const;

/** The bench as a whole: read at once, and put back at once or not at all. */
export class WholeBench {
  private readonly database = new Database();

  constructor(private readonly now: () => number) {}

  async read(): Promise<Outcome<BenchContent>> {
    return this.database.attempt(async (db) => {
      const transaction = db.transaction(STORES);
      const [pieces, snapshots, entries, photographs, box] = await Promise.all([
        transaction.objectStore('pieces').getAll(),
        transaction.objectStore('snapshots').getAll(),
        transaction.objectStore('entries').getAll(),
        transaction.objectStore('photographs').getAll(),
        transaction.objectStore('documents').get(BOX_KEY),
      ]);
      return { pieces, snapshots, entries, photographs, box: box?.value ?? null };
    });
  }

  /** Puts what is given beside what is there; what has the same name takes its place. */
  add(addition: Addition): Promise<Outcome<void>> {
    return this.put(addition, false);
  }

  /** Puts what is given in place of all that is there. */
  replace(content: BenchContent): Promise<Outcome<void>> {
    return this.put(content, true);
  }

  private async put(content: BenchContent, clears: boolean): Promise<Outcome<void>> {
    return this.database.attempt(async (db) => {
      const transaction = db.transaction(STORES, 'readwrite');
      const [pieces, documents] = [transaction.objectStore('pieces'), transaction.objectStore('documents')];
      // A tab that has a piece open must see that it is another now.
      const revisions = new Map((await pieces.getAll()).map(({ id, revision }) => [id, revision]));
      if (clears) {
        for (const name of STORES) if (name !== 'documents') void transaction.objectStore(name).clear();
      }
      for (const piece of content.pieces) {
        const revision = Math.max(revisions.get(piece.id) ?? 0, piece.revision) + 1;
        void pieces.put({ ...piece, revision });
        void transaction.objectStore('thumbnails').delete(piece.id);
      }
      for (const { key: _key, ...snapshot } of content.snapshots)
        void transaction.objectStore('snapshots').put(snapshot);
      for (const entry of content.entries) void transaction.objectStore('entries').put(entry);
      for (const photograph of content.photographs) void transaction.objectStore('photographs').put(photograph);
      if (content.box === null && clears) void documents.delete(BOX_KEY);
      else if (content.box !== null) {
        const before: KeptDocument | undefined = await documents.get(BOX_KEY);
        const revision = (before?.revision ?? 0) + 1;
        void documents.put({ key: BOX_KEY, savedAt: this.now(), revision, value: content.box });
      }
      await transaction.done;
    });
  }
}
