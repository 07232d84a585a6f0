import { failure, shortened, success, z, type Outcome } from '../measure/index.ts';
import { migrate } from './migrations.ts';
import { recordSchema, type PieceRecord } from './record.ts';
import { PIECE_FORMAT, PIECE_VERSION, pieceSchema, type Piece } from './schema.ts';

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
    return failure(
      `The file is too large: ${Math.round(text.length / 1e6)} million characters; up to 24 million are read.`,
    );
  }
  if (text.trim() === '') return failure('The file is empty.');
  let data: unknown;
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return failure(`The file is damaged or cut short: ${jsonFault(error, text)}.`);
  }
  return checkPieceFile(data);
}

/** Checks what claims to be a piece, from a file or from storage. Where no record is with it, that is empty. */
export function checkPieceFile(data: unknown): Outcome<PieceFile> {
  const { format, version } = (typeof data === 'object' && data !== null ? data : {}) as Record<string, unknown>;
  if (format !== PIECE_FORMAT) {
    return failure(`This is not a Junctura piece: its “format” is ${describe(format)}, expected “${PIECE_FORMAT}”.`);
  }
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return failure(
      `The piece has no sound version: “version” is ${describe(version)}, expected 1 to ${PIECE_VERSION}.`,
    );
  }
  if (version > PIECE_VERSION) {
    return failure(
      `The piece was saved by a later Junctura (version ${version}; this one reads up to ${PIECE_VERSION}). Update Junctura to open it.`,
    );
  }
  const { record = [], ...rest } = migrate(data as Record<string, unknown>, version);
  const [piece, noted] = [pieceSchema.safeParse(rest), recordSchema.safeParse(record)];
  if (piece.success && noted.success) return success({ piece: piece.data, record: noted.data });
  const issues = [
    ...(piece.error?.issues ?? []),
    ...(noted.error?.issues ?? []).map((issue) => ({ ...issue, path: ['record', ...issue.path] })),
  ];
  const [issue] = issues;
  const more = issues.length > 1 ? ` (and ${issues.length - 1} more)` : '';
  return failure(`The piece file is wrong at ${pathText(issue!.path)}: ${plain(issue!.message)}${more}.`);
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
  return value === undefined ? 'missing' : `“${shortened(String(value), 40)}”`;
}

/** Where the text stops being JSON. Engines tell it by position, by line, or by quoting the place. */
function jsonFault(error: unknown, text: string): string {
  const message = error instanceof Error ? error.message : '';
  const told = /position (\d+)/.exec(message)?.[1];
  const breaksOff = /end of JSON|unterminated/i.test(message) || Number(told) >= text.trimEnd().length;
  if (breaksOff) return `it breaks off at line ${text.trimEnd().split('\n').length}`;
  const quoted = /"(.+)"(?:\.\.\.)? is not valid JSON/s.exec(message)?.[1]?.replace(/^\.\.\./, '');
  const at = told === undefined ? text.indexOf(quoted ?? '\0') : Number(told);
  return at < 0 ? 'it is not sound JSON' : `line ${text.slice(0, at).split('\n').length} is not sound JSON`;
}

/** Checks what claims to be a piece, without a record of its own. */
export function checkPiece(data: unknown): Outcome<Piece> {
  const checked = checkPieceFile(data);
  return checked.ok ? success(checked.value.piece) : checked;
}
