import { failure, success, type Outcome } from '@junctura/core/measure';
import type { RecordEntry } from '@junctura/core/piece';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import * as say from './words.ts';

/** A piece as it is stored. */
export interface StoredPiece {
  readonly id: string;
  readonly name: string;
  readonly savedAt: number;
  /** Rises with every save: a save that does not build on the newest is a conflict. */
  readonly revision: number;
  readonly piece: unknown;
  /** When an earlier state was kept last; missing: never. */
  readonly snapshotAt?: number;
}

/** An entry of the record of a piece. */
export interface StoredEntry {
  readonly pieceId: string;
  readonly id: string;
  readonly entry: RecordEntry;
}

export interface Snapshot {
  readonly key?: number;
  readonly pieceId: string;
  readonly at: number;
  readonly piece: unknown;
}

/** A document of which there is one: the thread box, what a shop said last. */
export interface KeptDocument {
  readonly key: string;
  readonly savedAt: number;
  /** Rises with every save: a save that does not build on the newest is a conflict. */
  readonly revision: number;
  readonly value: unknown;
}

/** A photograph that was taken at the hoop. */
export interface StoredPhoto {
  readonly id: string;
  readonly pieceId: string;
  /** An ISO time. */
  readonly at: string;
  readonly picture: Blob;
}

/** A little picture of a piece. */
export interface KeptThumbnail {
  readonly pieceId: string;
  /** Of what it was made from. */
  readonly stamp: string;
  readonly picture: Blob;
  /** What it shows, from its middle to its edge, mm. */
  readonly reachMm: number;
}

export interface Schema extends DBSchema {
  pieces: { key: string; value: StoredPiece };
  snapshots: { key: number; value: Snapshot; indexes: { pieceId: string } };
  documents: { key: string; value: KeptDocument };
  thumbnails: { key: string; value: KeptThumbnail };
  photographs: { key: string; value: StoredPhoto; indexes: { pieceId: string } };
  entries: { key: [string, string]; value: StoredEntry; indexes: { pieceId: string } };
}

const NAME = 'junctura';
const VERSION = 5;
/** Storage that has not opened after this is not waited for, ms: browsers are known to answer never, while a tab works on without. */
const PATIENCE_MS = 10_000;

/** The browser's storage. Every use of it answers; none throws for a full, refused or damaged storage. */
export class Database {
  private opened: Promise<IDBPDatabase<Schema>> | null = null;

  constructor(private readonly thing: say.KeptThing = 'piece') {}

  async attempt<T>(action: (db: IDBPDatabase<Schema>) => Promise<T>): Promise<Outcome<T>> {
    for (let isAgain = false; ; isAgain = true) {
      try {
        this.opened ??= this.open();
        return success(await action(await this.opened));
      } catch (error) {
        this.opened = null;
        // The connection was closed under the action, for an upgrade in another tab or by the browser: a new one does it.
        if (isAgain || nameOf(error) !== 'InvalidStateError') return failure(storageProblem(error, this.thing));
      }
    }
  }

  private open(): Promise<IDBPDatabase<Schema>> {
    let refuse: (why: Error) => void = () => undefined;
    const refused = new Promise<never>((_, reject) => (refuse = reject));
    let isGivenUp = false;
    const giveUp = (name: string) => (): void => {
      isGivenUp = true;
      const why = new Error(name);
      why.name = name;
      refuse(why);
    };
    const opening = openDB<Schema>(NAME, VERSION, {
      upgrade(db, from) {
        if (from < 1) {
          db.createObjectStore('pieces', { keyPath: 'id' });
          const snapshots = db.createObjectStore('snapshots', { keyPath: 'key', autoIncrement: true });
          snapshots.createIndex('pieceId', 'pieceId');
        }
        if (from < 2) db.createObjectStore('documents', { keyPath: 'key' });
        if (from < 3) {
          const entries = db.createObjectStore('entries', { keyPath: ['pieceId', 'id'] });
          entries.createIndex('pieceId', 'pieceId');
        }
        if (from < 4) db.createObjectStore('thumbnails', { keyPath: 'pieceId' });
        if (from < 5) {
          const photographs = db.createObjectStore('photographs', { keyPath: 'id' });
          photographs.createIndex('pieceId', 'pieceId');
        }
      },
      // A tab with an earlier version that does not give way: it is not waited for without end.
      blocked: giveUp('BlockedError'),
      terminated: () => (this.opened = null),
      // A tab with a later version must not wait for this one; the next use here opens anew.
      blocking: (_current, _blocked, event) => {
        this.opened = null;
        (event.target as IDBDatabase).close();
      },
    });
    // What is given up may open later all the same: nobody holds it then.
    opening.then(
      (db) => isGivenUp && db.close(),
      () => undefined,
    );
    // Begun when it is being opened: where opening is refused at once there is nothing to wait for.
    const timer = setTimeout(giveUp('SilentError'), PATIENCE_MS);
    return Promise.race([opening, refused]).finally(() => clearTimeout(timer));
  }
}

/** The share of the browser's storage that is taken, or null where it does not say. */
export async function fullness(): Promise<number | null> {
  try {
    const { usage, quota } = await navigator.storage.estimate();
    return usage === undefined || !quota ? null : usage / quota;
  } catch {
    return null;
  }
}

function nameOf(error: unknown): string {
  return error instanceof Error || error instanceof DOMException ? error.name : '';
}

function storageProblem(error: unknown, thing: say.KeptThing): string {
  const name = nameOf(error);
  if (name === 'QuotaExceededError') return say.STORAGE_FULL[thing];
  if (name === 'VersionError') return say.LATER_PIECES;
  if (name === 'BlockedError') {
    return 'Another tab with an earlier version of Junctura holds the storage. Close or reload that tab; saving is tried again until then.';
  }
  if (name === 'SilentError') return say.STORAGE_SILENT[thing];
  if (name === 'SecurityError' || name === 'ReferenceError' || name === 'TypeError' || name === 'InvalidStateError') {
    return say.STORAGE_DENIED[thing];
  }
  return say.STORAGE_FAULTY[thing];
}
