import { failure, parseJson, shortened, success, z, type Outcome } from '../measure/index.ts';
import { migrate } from './migrations.ts';
import { recordSchema, type PieceRecord } from './record.ts';
import { PIECE_FORMAT, PIECE_VERSION, pieceSchema, type Piece } from './schema.ts';
import * as say from './words.ts';

/** A piece file is text of this many characters at the most. */
export const MAX_PIECE_CHARACTERS = 24_000_000;
export const PIECE_EXTENSION = '.junctura.json';

/** What a piece file holds: the piece, and beside it the record of what was noted at the hoop. */
export interface PieceFile {
  readonly piece: Piece;
  readonly record: PieceRecord;
}

/** The file of a piece with its record: JSON, indented, readable. */
export function writePiece(piece: Piece, record: PieceRecord = []): string {
  return `${JSON.stringify({ ...piece, record }, null, 1)}\n`;
}

/** The piece of a piece file, without its record (see {@link readPieceFile}). */
export function readPiece(text: string): Outcome<Piece> {
  const read = readPieceFile(text);
  return read.ok ? success(read.value.piece) : read;
}

/** Reads a piece file of this or an earlier version; refuses it whole where anything is wrong. */
export function readPieceFile(text: string): Outcome<PieceFile> {
  if (text.length > MAX_PIECE_CHARACTERS) {
    return failure(say.fileTooLarge(text.length / 1e6));
  }
  if (text.trim() === '') return failure('The file is empty.');
  let data: unknown;
  try {
    data = parseJson(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return failure(jsonFault(error, text));
  }
  return checkPieceFile(data);
}

/** Checks what claims to be a piece, from a file or from storage. Where no record is with it, that is empty. */
export function checkPieceFile(data: unknown): Outcome<PieceFile> {
  const { format, version } = (typeof data === 'object' && data !== null ? data : {}) as Record<string, unknown>;
  if (format !== PIECE_FORMAT) {
    return failure('This file is not a Junctura piece.', `format is ${describe(format)}, expected “${PIECE_FORMAT}”`);
  }
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return failure(
      'This piece file doesn’t say which version wrote it, so it can’t be read.',
      `version is ${describe(version)}, expected 1 to ${PIECE_VERSION}`,
    );
  }
  if (version > PIECE_VERSION) {
    return failure(say.laterVersion(version, PIECE_VERSION));
  }
  const { record = [], ...rest } = migrate(data as Record<string, unknown>, version);
  const [piece, noted] = [pieceSchema.safeParse(rest), recordSchema.safeParse(record)];
  if (piece.success && noted.success) return success({ piece: piece.data, record: noted.data });
  const issues = [
    ...(piece.error?.issues ?? []),
    ...(noted.error?.issues ?? []).map((issue) => ({ ...issue, path: ['record', ...issue.path] })),
  ];
  const [issue] = issues;
  return failure(
    say.damagedPiece(placeInWords(issue!.path), issues.length - 1),
    `${pathText(issue!.path)}: ${plain(issue!.message)}`,
  );
}

/** Where in a piece something is, as a person would say it. */
export function placeInWords([key, inner, index]: readonly PropertyKey[]): string {
  if (key === 'drawing' && inner === 'parts' && typeof index === 'number') return say.partOfDrawing(index + 1);
  if (key === 'palette' && typeof inner === 'number') return say.colourOfPalette(inner + 1);
  if (key === 'record' && typeof inner === 'number') return say.entryOfRecord(inner + 1);
  const place = String(key);
  return Object.hasOwn(say.PLACES, place) ? say.PLACES[place]! : 'its settings';
}

function pathText(path: readonly PropertyKey[]): string {
  return path.length === 0 ? 'its top level' : z.core.toDotPath(path);
}

/** The schema's words as a person reads them. */
function plain(message: string): string {
  return lowerFirst(message).replace(/^invalid input: expected (\w+), received undefined$/, 'it is missing');
}

function lowerFirst(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1).replace(/\.$/, '');
}

function describe(value: unknown): string {
  if (value === undefined) return 'missing';
  // Whatever it is, it is not asked for its text: it may have none.
  return typeof value === 'object' ? 'a list or object' : `“${shortened(String(value), 40)}”`;
}

/** Where the text stops being JSON. Engines tell it by position, by line, or by quoting the place. */
function jsonFault(error: unknown, text: string): string {
  const message = error instanceof Error ? error.message : '';
  const told = /position (\d+)/.exec(message)?.[1];
  const breaksOff = /end of JSON|unterminated/i.test(message) || Number(told) >= text.trimEnd().length;
  if (breaksOff) return say.breaksOff(text.trimEnd().split('\n').length);
  const quoted = /"(.+)"(?:\.\.\.)? is not valid JSON/s.exec(message)?.[1]?.replace(/^\.\.\./, '');
  const at = told === undefined ? text.indexOf(quoted ?? '\0') : Number(told);
  return at < 0 ? 'The file is damaged: it is not valid JSON.' : say.notJson(text.slice(0, at).split('\n').length);
}

/** Checks what claims to be a piece, without a record of its own. */
export function checkPiece(data: unknown): Outcome<Piece> {
  const checked = checkPieceFile(data);
  return checked.ok ? success(checked.value.piece) : checked;
}
