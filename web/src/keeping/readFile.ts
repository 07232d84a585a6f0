import { isBareDrawing } from '@junctura/core/drawing';
import { failure, success, type Outcome } from '@junctura/core/measure';
import { MAX_PIECE_CHARACTERS, readPieceFile, type Piece, type PieceFile } from '@junctura/core/piece';
import * as say from './words.ts';

/** Whatever turns the text of a drawing into a piece. */
export interface DrawingReader {
  readDrawing(text: string, id: string, name: string): Promise<Outcome<Piece>>;
}

/** What a file holds. */
export interface ReadFile extends PieceFile {
  /** Whether it is a drawing from elsewhere, which has not been tidied. */
  readonly isBareDrawing: boolean;
}

/** A file that is larger is not even opened, bytes. */
const MAX_BYTES = MAX_PIECE_CHARACTERS + 8_000_000;

/** Reads a file that a person chose or dropped: a drawing becomes a new piece, a piece file is opened as it is. */
export async function readFile(file: File, planner: DrawingReader, newId: () => string): Promise<Outcome<ReadFile>> {
  const named = (problem: string): Outcome<never> => failure(`${file.name}: ${problem}`);
  if (file.size > MAX_BYTES) {
    return named(say.fileTooLarge(file.size / 1e6));
  }
  let text: string;
  try {
    text = await file.text();
  } catch {
    return named('the file can’t be read. Was it moved or removed in the meantime?');
  }
  const looksLikePiece = file.name.endsWith('.json') || /^[\uFEFF\s]*\{/.test(text);
  const looksLikeSvg = file.name.endsWith('.svg') || /^[\uFEFF\s]*</.test(text);
  if (!looksLikePiece && !looksLikeSvg) {
    return named('this is neither an SVG drawing nor a Junctura piece.');
  }
  const outcome = looksLikePiece
    ? readPieceFile(text)
    : withoutRecord(await planner.readDrawing(text, newId(), file.name.replace(/\.svg$/i, '')));
  if (!outcome.ok) return named(outcome.problem);
  return success({ ...outcome.value, isBareDrawing: !looksLikePiece && isBareDrawing(text) });
}

function withoutRecord(drawn: Outcome<Piece>): Outcome<PieceFile> {
  return drawn.ok ? success({ piece: drawn.value, record: [] }) : drawn;
}
