import { Database } from './database.ts';

/** Keeps in the database what could not be saved as it should be. Nothing here throws or tells of a fault: it is kept where it can be. */
export class AsideStore {
  private readonly database = new Database();

  async put(place: string, value: unknown): Promise<void> {
    await this.database.attempt((db) => db.put('documents', { key: place, savedAt: 0, revision: 0, value }));
  }

  async remove(place: string): Promise<void> {
    await this.database.attempt((db) => db.delete('documents', place));
  }

  /** What lies under places that begin so, by its place. */
  async all(prefix: string): Promise<ReadonlyMap<string, unknown>> {
    const range = IDBKeyRange.bound(prefix, `${prefix}\uffff`);
    const found = await this.database.attempt((db) => db.getAll('documents', range));
    return new Map(found.ok ? found.value.map(({ key, value }) => [key, value]) : []);
  }
}
