import { boxSchema, EMPTY_BOX, mergedBoxes, type ThreadBox } from '@junctura/core/materials';
import type { Piece } from '@junctura/core/piece';
import type { Backup } from './backup.ts';
import type { StoredEntry } from './database.ts';
import { textOf } from './pieceStore.ts';
import type { Addition, BenchContent } from './wholeBench.ts';

/** A piece of a backup against the bench. */
export interface ComparedPiece {
  readonly id: string;
  readonly name: string;
  readonly stands: 'new' | 'same' | 'differs';
}

/** What restoring a backup would do, before it is done. */
export interface RestorePreview {
  readonly pieces: readonly ComparedPiece[];
  /** Entries, photographs and kinds of thread that are not here. */
  readonly entries: number;
  readonly photographs: number;
  readonly threads: number;
  /** Names of pieces here that the backup does not have: they leave the bench where it takes the bench's place. */
  readonly onlyHere: readonly string[];
}

export function previewRestore(backup: Backup, here: BenchContent): RestorePreview {
  const pieces = comparedPieces(backup, here);
  const { entries, photographs, box } = merging(backup, here, pieces);
  const known = new Set(pieces.map(({ id }) => id));
  return {
    pieces,
    entries: entries.length,
    photographs: photographs.length,
    threads: box ? box.entries.length - boxOf(here.box).entries.length : 0,
    onlyHere: here.pieces.filter(({ id }) => !known.has(id)).map(({ name }) => name),
  };
}

/** All pieces of a backup, in its order. */
function comparedPieces(backup: Backup, here: BenchContent): ComparedPiece[] {
  const stored = new Map(here.pieces.map(({ id, piece }) => [id, piece]));
  return backup.pieces.map(({ piece }) => {
    const { id, name } = piece;
    if (!stored.has(id)) return { id, name, stands: 'new' };
    return { id, name, stands: textOf(stored.get(id)) === textOf(piece) ? 'same' : 'differs' };
  });
}

/**
 * What a backup adds to a bench: what is here stays. Of a piece that differs, the backup's goes among its earlier states; entries never change, so
 * their union is both records.
 */
export function merging(backup: Backup, here: BenchContent, compared = comparedPieces(backup, here)): Addition {
  const stands = new Map(compared.map((piece) => [piece.id, piece.stands]));
  const differing = backup.pieces.filter(({ piece }) => stands.get(piece.id) === 'differs' && !isEarlier(piece, here));
  const entries = new Set(here.entries.map(({ pieceId, id }) => `${pieceId} ${id}`));
  const photographs = new Set(here.photographs.map(({ id }) => id));
  return {
    pieces: storedPieces(backup).filter(({ id }) => stands.get(id) === 'new'),
    snapshots: differing.map(({ piece, savedAt }) => ({ pieceId: piece.id, at: savedAt, piece })),
    entries: storedEntries(backup).filter(({ pieceId, id }) => !entries.has(`${pieceId} ${id}`)),
    photographs: backup.photographs.filter(({ id }) => !photographs.has(id)),
    // A box that can't be read is not written over.
    box: backup.box && isReadable(here.box) ? mergedBoxes(EMPTY_BOX, backup.box, boxOf(here.box)) : null,
  };
}

/** Whether a state of a piece is among its earlier ones already. */
function isEarlier(piece: Piece, { snapshots }: BenchContent): boolean {
  const text = textOf(piece);
  return snapshots.some((snapshot) => snapshot.pieceId === piece.id && textOf(snapshot.piece) === text);
}

/** The bench as a backup has it; a thread box that it does not have stays. */
export function replacing(backup: Backup, here: BenchContent): BenchContent {
  return {
    pieces: storedPieces(backup),
    snapshots: [],
    entries: storedEntries(backup),
    photographs: backup.photographs,
    box: backup.box ?? here.box,
  };
}

function storedPieces({ pieces }: Backup): BenchContent['pieces'] {
  return pieces.map(({ piece, savedAt }) => ({ id: piece.id, name: piece.name, savedAt, revision: 0, piece }));
}

function storedEntries({ pieces, records }: Backup): StoredEntry[] {
  const all = [...pieces.map(({ piece, record }) => ({ piece: piece.id, entries: record })), ...records];
  return all.flatMap(({ piece, entries }) => entries.map((entry) => ({ pieceId: piece, id: entry.id, entry })));
}

function isReadable(box: unknown): boolean {
  return box === null || boxSchema.safeParse(box).success;
}

function boxOf(value: unknown): ThreadBox {
  const checked = boxSchema.safeParse(value);
  return checked.success ? checked.data : EMPTY_BOX;
}
