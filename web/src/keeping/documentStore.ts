import { success, type Outcome } from '@junctura/core/measure';
import { Database } from './database.ts';
import type { SaveResult } from './pieceStore.ts';
import type { KeptThing } from './words.ts';

/** Keeps a document of which there is one under a name. Every method answers; none throws. */
export class DocumentStore {
  private readonly database: Database;

  /** @param thing what it is, for the sentence that tells why it could not be kept */
  constructor(
    private readonly key: string,
    private readonly now: () => number,
    thing: KeptThing = 'other',
  ) {
    this.database = new Database(thing);
  }

  /** What is kept, unchecked; null where nothing is. */
  async load(): Promise<Outcome<{ value: unknown; revision: number; savedAt: number } | null>> {
    const found = await this.database.attempt((db) => db.get('documents', this.key));
    return found.ok ? success(found.value ?? null) : found;
  }

  /** The revision that is kept; 0: none is. */
  async revision(): Promise<Outcome<number>> {
    const found = await this.load();
    return found.ok ? success(found.value?.revision ?? 0) : found;
  }

  /** Changes what is kept, whoever saved it last. @param to makes the new value from the present one; null: nothing is kept yet */
  async change(to: (kept: unknown) => unknown): Promise<Outcome<void>> {
    return this.database.attempt(async (db) => {
      const transaction = db.transaction('documents', 'readwrite');
      const before = await transaction.store.get(this.key);
      const revision = (before?.revision ?? 0) + 1;
      await transaction.store.put({ key: this.key, savedAt: this.now(), revision, value: to(before?.value ?? null) });
      await transaction.done;
    });
  }

  /** Saves, if nobody else saved since `basedOn` (0 where nothing was kept). */
  async save(value: unknown, basedOn: number): Promise<SaveResult> {
    const outcome = await this.database.attempt(async (db): Promise<SaveResult> => {
      const transaction = db.transaction('documents', 'readwrite');
      const before = await transaction.store.get(this.key);
      if ((before?.revision ?? 0) !== basedOn) {
        await transaction.done;
        return { type: 'conflict', isGone: before === undefined };
      }
      await transaction.store.put({ key: this.key, savedAt: this.now(), revision: basedOn + 1, value });
      await transaction.done;
      return { type: 'saved', revision: basedOn + 1 };
    });
    return outcome.ok ? outcome.value : { type: 'refused', problem: outcome.problem };
  }
}
