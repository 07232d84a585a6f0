import { success, type Outcome } from '@junctura/core/measure';
import { Database, type StoredPhoto } from './database.ts';

/** Keeps photographs of pieces in the browser, apart from the pieces and their files. */
export class PhotoStore {
  private readonly database = new Database();

  keep(photo: StoredPhoto): Promise<Outcome<unknown>> {
    return this.database.attempt((db) => db.put('photographs', photo));
  }

  /** The photographs of a piece, the oldest first. */
  async of(pieceId: string): Promise<Outcome<StoredPhoto[]>> {
    const found = await this.database.attempt((db) => db.getAllFromIndex('photographs', 'pieceId', pieceId));
    return found.ok ? success(found.value.sort((a, b) => a.at.localeCompare(b.at))) : found;
  }

  remove(id: string): Promise<Outcome<void>> {
    return this.database.attempt((db) => db.delete('photographs', id));
  }
}
