import { failure, success, type Outcome } from '../measure/index.ts';
import { migrate } from './migrations.ts';
import { PIECE_FORMAT, PIECE_VERSION, pieceSchema, type Piece } from './schema.ts';

/** A piece file is text of this many characters at the most. */
export const MAX_PIECE_CHARACTERS = 24_000_000;
export const PIECE_EXTENSION = '.junctura.json';

/** The file of a piece: JSON, indented, readable. */
export function writePiece(piece: Piece): string {
  return `${JSON.stringify(piece, null, 1)}\n`;
}

/** Reads a piece file of this or an earlier version; refuses it whole where anything is wrong. */
export function readPiece(text: string): Outcome<Piece> {
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
  return checkPiece(data);
}

/** Checks what claims to be a piece, from a file or from storage. */
export function checkPiece(data: unknown): Outcome<Piece> {
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
  const checked = pieceSchema.safeParse(migrate(data as Record<string, unknown>, version));
  if (checked.success) return success(checked.data);
  const [issue] = checked.error.issues;
  const more = checked.error.issues.length - 1;
  return failure(
    `The piece file is wrong at ${pathText(issue!.path)}: ${lowerFirst(issue!.message)}${more > 0 ? ` (and ${more} more)` : ''}.`,
  );
}

function pathText(path: readonly PropertyKey[]): string {
  const text = path.map((key) => (typeof key === 'number' ? `[${key}]` : `.${String(key)}`)).join('');
  return text === '' ? 'its top level' : text.replace(/^\./, '');
}

function lowerFirst(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1).replace(/\.$/, '');
}

function describe(value: unknown): string {
  return value === undefined ? 'missing' : `“${String(value).slice(0, 40)}”`;
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
