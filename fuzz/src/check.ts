import { Planner, remediesFor } from '@junctura/core/advice';
import { readSvg, writeSvg } from '@junctura/core/drawing';
import { boxProblem, EMPTY_BOX, readCsv, readGpl, writeCsv, writeGpl } from '@junctura/core/materials';
import { seededRandom, type Outcome } from '@junctura/core/measure';
import { pictureSvg } from '@junctura/core/paper';
import {
  applyEdit,
  editProblem,
  invertEdit,
  readPiece,
  readPieceFile,
  writePiece,
  type Piece,
} from '@junctura/core/piece';
import { USUAL_FACTORS } from '@junctura/core/work';
import type { Input } from './inputs.ts';
import { pick } from './mutate.ts';

/** Of what is read, a piece is planned; larger ones now and then alone, as they take long. */
const MOST_PARTS = 60;

/** Tries an input. @throws Error where something does not hold that always must */
export function check({ kind, seed, text }: Input): void {
  if (kind === 'svg') checkDrawing(text);
  else if (kind === 'piece') checkPieceText(text);
  else if (kind === 'csv') checkCsv(text);
  else if (kind === 'gpl') checkGpl(text);
  else checkRemedies(text, seed);
}

/** A refusal is a sentence that a person understands. */
function refused(outcome: Outcome<unknown>): void {
  if (outcome.ok) return;
  const { problem } = outcome;
  if (problem.trim().length < 8) throw new Error(`an empty refusal: '${problem}'`);
  if (/\bNaN\b(?!”)|received undefined|\[object|\n\s+at /.test(problem.replace(/“[^”]*”/g, ''))) {
    throw new Error(`a refusal that says nothing: '${problem}'`);
  }
  if (problem.length > 700) throw new Error(`a refusal of ${problem.length} letters`);
}

function same(what: string, a: unknown, b: unknown): void {
  if (JSON.stringify(a) !== JSON.stringify(b)) throw new Error(`${what} is not what it was`);
}

function checkDrawing(text: string): void {
  const read = readSvg(text, 'fuzz', 'fuzz');
  refused(read);
  if (!read.ok) return;
  const kept = readPiece(writePiece(read.value));
  if (!kept.ok) throw new Error(`a drawing became a piece that can't be kept: ${kept.problem}`);
  checkPiece(read.value);
}

function checkPieceText(text: string): void {
  const read = readPieceFile(text);
  refused(read);
  if (!read.ok) return;
  const { piece, record } = read.value;
  const again = readPieceFile(writePiece(piece, record));
  same('a piece that was written and read', again.ok && again.value, read.value);
  checkPiece(piece);
}

function checkPiece(piece: Piece): void {
  if (piece.drawing.parts.length > MOST_PARTS) return;
  const { plan } = new Planner().plan(piece, USUAL_FACTORS);
  const fault = plan.parts.find((planned) => planned.fault !== null);
  if (fault) throw new Error(`'${fault.part.name}' could not be worked: ${fault.fault}`);
  const figures = JSON.stringify([plan.totals, plan.design, plan.colours.map(({ skeins }) => skeins)]);
  if (/null/.test(figures.replace(/"circle":null|"box":null/g, '')))
    throw new Error(`figures that are none: ${figures}`);
  pictureSvg(piece, plan);
  const drawn = readSvg(writeSvg(piece), 'again', 'again');
  if (piece.drawing.parts.length > 0 && !drawn.ok) throw new Error(`its own SVG is refused: ${drawn.problem}`);
}

function checkCsv(text: string): void {
  const read = readCsv(text, { name: 'card' });
  refused(read);
  if (!read.ok) return;
  const entries = read.value.rows.map(({ entry }) => entry);
  const wrong = boxProblem({ ...EMPTY_BOX, entries }, EMPTY_BOX);
  if (wrong !== null) throw new Error(`a list was read that can't be kept: ${wrong}`);
  const again = readCsv(writeCsv(entries), { name: 'card' });
  const rounded = entries.map((entry) => ({ ...entry, partM: Math.round(entry.partM * 100) / 100 }));
  same(
    'a list that was written and read',
    again.ok && again.value.rows.map(({ entry: { id: _, ...rest } }) => rest),
    rounded.map(({ id: _, ...rest }) => rest),
  );
}

function checkGpl(text: string): void {
  const read = readGpl(text, 'card');
  refused(read);
  if (!read.ok) return;
  const { shades } = read.value;
  const again = readGpl(writeGpl('card', shades), 'card');
  same('a palette that was written and read', again.ok && again.value.shades.length, shades.length);
}

/** Remedies, one after the other: each can be kept, and undone. */
function checkRemedies(text: string, seed: number): void {
  const random = seededRandom(seed);
  const read = readPiece(text);
  if (!read.ok) throw new Error(read.problem);
  let piece = read.value;
  const planner = new Planner();
  for (let i = 0; i < 3; i++) {
    const { plan, findings } = planner.plan(piece, USUAL_FACTORS);
    if (findings.length === 0) return;
    const remedies = remediesFor(piece, plan, pick(random, findings));
    if (remedies.length === 0) continue;
    const { edit, label } = pick(random, remedies);
    const after = applyEdit(piece, edit);
    if (!after.ok) throw new Error(`the remedy '${label}' does not fit: ${after.problem}`);
    const wrong = editProblem(piece, after.value);
    if (wrong !== null) throw new Error(`the remedy '${label}' makes what can't be kept: ${wrong}`);
    const back = applyEdit(after.value, invertEdit(edit));
    same(`a piece after '${label}' was undone`, back.ok && back.value, piece);
    piece = after.value;
  }
}
