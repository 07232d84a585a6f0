import { seedFrom } from '@junctura/core/measure';
import { Database, type KeptThumbnail } from './database.ts';

/** A little picture is of what it was made from: the same text, the same picture. */
export function stampOf(...made: readonly unknown[]): string {
  const text = JSON.stringify(made);
  return [text.length, seedFrom(1, text), seedFrom(2, text)].join('-');
}

/** Keeps little pictures of pieces, so that the bench need not plan and paint them anew. One that can't be kept is made again. */
export class ThumbnailStore {
  private readonly database = new Database();

  /** The picture of a piece; null where there is none of just this state. */
  async find(pieceId: string, stamp: string): Promise<KeptThumbnail | null> {
    const last = await this.last(pieceId);
    return last?.stamp === stamp ? last : null;
  }

  /** The picture of a piece as it was painted last, whatever was changed since; null where there is none. */
  async last(pieceId: string): Promise<KeptThumbnail | null> {
    const found = await this.database.attempt((db) => db.get('thumbnails', pieceId));
    return found.ok ? (found.value ?? null) : null;
  }

  async keep(thumbnail: KeptThumbnail): Promise<void> {
    await this.database.attempt((db) => db.put('thumbnails', thumbnail));
  }
}
