import { mergeRecords } from '@junctura/core/log';
import { boxSchema, type ThreadBox } from '@junctura/core/materials';
import { failure, parseJson, success, z, type Outcome } from '@junctura/core/measure';
import { checkPieceFile, PIECE_EXTENSION, readPieceFile, recordSchema, writePiece } from '@junctura/core/piece';
import type { PieceFile, RecordEntry } from '@junctura/core/piece';
import { unzip, zip, type AsyncZippable } from 'fflate';
import type { StoredPhoto } from './database.ts';
import { recordsByPiece } from './pieceStore.ts';
import { fileName } from './files.ts';
import type { BenchContent } from './wholeBench.ts';
import * as say from './words.ts';

const FORMAT = 'junctura-bench';
const VERSION = 1;
export const BACKUP_EXTENSION = '.junctura.zip';
const LIST = 'bench.json';
const BOX = 'thread-box.json';
/** No bench is larger, packed or unpacked, bytes, or has more files. */
const MOST_BYTES = 1_500_000_000;
const MOST_TEXT_BYTES = 60_000_000;
const MOST_PICTURE_BYTES = 60_000_000;
/** Nothing is packed to less than this share: what claims to be larger is not. Source: RFC 1951, 258 bytes to 2 bits. */
const MOST_PACKED = 1032;
const MOST_FILES = 20_000;

/** Of two things with one id, one would stand in the other's place without a word. */
function isEachOnce(list: readonly { readonly id: string }[]): boolean {
  return new Set(list.map((thing) => thing.id)).size === list.length;
}

const id = z.string().min(1).max(200);
const file = z.string().min(1).max(400);
const listSchema = z.object({
  format: z.literal(FORMAT),
  version: z.number().int().min(1),
  savedAt: z.iso.datetime(),
  pieces: z
    .array(z.object({ id, file, savedAt: z.number() }))
    .max(MOST_FILES)
    .refine(isEachOnce),
  /** What was noted of pieces that are not among them: demo pieces that were never changed, pieces that can't be read. */
  records: z.array(z.object({ piece: id, entries: recordSchema })).max(MOST_FILES),
  photographs: z
    .array(z.object({ id, piece: id, at: z.string().max(60), file, type: z.string().max(60) }))
    .max(MOST_FILES)
    .refine(isEachOnce),
  settings: z.unknown(),
});
type List = z.infer<typeof listSchema>;

/** A backup as it is read: all that makes sense of it, and what does not. */
export interface Backup {
  /** An ISO time. */
  readonly savedAt: string;
  readonly pieces: readonly (PieceFile & { readonly savedAt: number })[];
  readonly records: readonly { readonly piece: string; readonly entries: readonly RecordEntry[] }[];
  readonly photographs: readonly StoredPhoto[];
  readonly box: ThreadBox | null;
  /** Unchecked; undefined: none were kept. */
  readonly settings: unknown;
  /** Files that can't be read, each with why. */
  readonly unread: readonly string[];
}

/**
 * All of a bench as one zip file: pieces as they are exported, each with its record; photographs; the thread box; settings. A piece that can't be
 * read goes in as it is stored.
 */
export async function packBench(
  content: BenchContent,
  settings: unknown,
  savedAt: string,
): Promise<Outcome<Uint8Array<ArrayBuffer>>> {
  const files: AsyncZippable = {};
  const records = recordsByPiece(content.entries);
  const list: List = {
    ...{ format: FORMAT, version: VERSION, savedAt },
    ...{ pieces: [], records: [], photographs: [], settings },
  };
  for (const [i, { id, name, savedAt: at, piece }] of content.pieces.entries()) {
    const checked = checkPieceFile(piece);
    const folder = checked.ok ? 'pieces' : 'unreadable';
    const path = `${folder}/${i + 1}-${fileName(name, PIECE_EXTENSION)}`;
    const text = checked.ok
      ? writePiece(checked.value.piece, mergeRecords(checked.value.record, records.get(id) ?? []))
      : JSON.stringify(piece);
    files[path] = [bytesOf(text), { level: 6 }];
    if (checked.ok) list.pieces.push({ id, file: path, savedAt: at });
  }
  // What was noted of a piece that is not among them, or can't be read.
  const packed = new Set(list.pieces.map((piece) => piece.id));
  for (const [piece, entries] of records) if (!packed.has(piece)) list.records.push({ piece, entries });
  for (const [i, { id, pieceId, at, picture }] of content.photographs.entries()) {
    const path = `photographs/${i + 1}.${picture.type.split('/')[1] ?? 'jpeg'}`;
    // Packed already: it is only put in.
    files[path] = [new Uint8Array(await picture.arrayBuffer()), { level: 0 }];
    list.photographs.push({ id, piece: pieceId, at, file: path, type: picture.type });
  }
  if (content.box !== null) files[BOX] = [bytesOf(JSON.stringify(content.box)), { level: 6 }];
  files[LIST] = [bytesOf(JSON.stringify(list)), { level: 6 }];
  return new Promise((resolve) =>
    zip(files, (error, packed) =>
      resolve(error ? failure(say.notPacked(error.message)) : success(packed as Uint8Array<ArrayBuffer>)),
    ),
  );
}

/** Reads a backup. What of it can't be read is told by its file; the rest is there. */
export async function unpackBench(packed: Uint8Array): Promise<Outcome<Backup>> {
  const files = await unpack(packed);
  if (!files.ok) return files;
  const listed = parsed(files.value.get(LIST));
  if (!listed.ok) return failure('This zip file is not a Junctura backup.');
  const version = (listed.value as { version?: unknown } | null)?.version;
  if (typeof version === 'number' && version > VERSION) {
    return failure(say.LATER_BACKUP);
  }
  const checked = listSchema.safeParse(listed.value);
  if (!checked.success) {
    return failure('This backup is damaged: its list of pieces can’t be read. Nothing was changed.');
  }
  const { savedAt, records, settings, ...list } = checked.data;
  const unread: string[] = [];
  const pieces = list.pieces.flatMap(({ id, file: path, savedAt: at }) => {
    const bytes = files.value.get(path);
    const read = bytes ? readPieceFile(textOf(bytes)) : failure('It is missing.');
    if (read.ok) return [{ ...read.value, piece: { ...read.value.piece, id }, savedAt: at }];
    unread.push(say.pieceUnread(path, read.problem));
    return [];
  });
  const photographs = list.photographs.flatMap(({ id, piece, at, file: path, type }): StoredPhoto[] => {
    const bytes = files.value.get(path);
    if (bytes) return [{ id, pieceId: piece, at, picture: new Blob([bytes as Uint8Array<ArrayBuffer>], { type }) }];
    unread.push('A photograph is missing.');
    return [];
  });
  const box = files.value.has(BOX) ? boxSchema.safeParse(valueOf(parsed(files.value.get(BOX)))) : null;
  if (box && !box.success) unread.push('The thread box in this backup is damaged.');
  for (const path of files.value.keys()) {
    if (path.startsWith('unreadable/'))
      unread.push(say.pieceUnread(path, 'it could not be read when the backup was made.'));
  }
  return success({ savedAt, pieces, records, photographs, box: box?.data ?? null, settings, unread });
}

/** Unpacks what a backup may hold; anything that would fill the memory is refused before it is unpacked. */
async function unpack(packed: Uint8Array): Promise<Outcome<ReadonlyMap<string, Uint8Array>>> {
  let [bytes, count] = [0, 0];
  const isTooMuch = (): boolean => bytes > MOST_BYTES || count > MOST_FILES;
  return new Promise((resolve) =>
    unzip(
      packed,
      {
        filter: ({ name, size, originalSize }) => {
          const most = name.endsWith('.json') ? MOST_TEXT_BYTES : MOST_PICTURE_BYTES;
          if (originalSize > Math.min(most, size * MOST_PACKED + 1024)) bytes = Infinity;
          bytes += originalSize;
          count++;
          return !isTooMuch();
        },
      },
      (error, files) => {
        if (isTooMuch()) resolve(failure(say.tooMuch(count)));
        else if (error) resolve(failure('This file is not a zip file, or it is damaged.'));
        else resolve(success(new Map(Object.entries(files))));
      },
    ),
  );
}

function bytesOf(text: string): Uint8Array {
  return new TextEncoder().encode(text);
}

function textOf(bytes: Uint8Array): string {
  return new TextDecoder().decode(bytes);
}

function parsed(bytes: Uint8Array | undefined): Outcome<unknown> {
  try {
    return bytes ? success(parseJson(textOf(bytes))) : failure('It is missing.');
  } catch {
    return failure('it is damaged');
  }
}

function valueOf(outcome: Outcome<unknown>): unknown {
  return outcome.ok ? outcome.value : undefined;
}
