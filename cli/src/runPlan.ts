import { readFileSync, statSync } from 'node:fs';
import { failure, success, type Outcome } from '@junctura/core/measure';
import { recordReport } from '@junctura/core/log';
import { EMPTY_BOX, readCsv, type ThreadBox } from '@junctura/core/materials';
import { NO_PICTURES, type Pictures } from '@junctura/core/painting';
import { readPiece, recordSchema, type PieceRecord } from '@junctura/core/piece';
import { readOptions, type PlanOptions } from './options.ts';
import { planText, type Planned } from './planFile.ts';
import { finishReport } from './finishReport.ts';
import { orderReport } from './orderReport.ts';
import { paintingReport, report } from './report.ts';
import { guideText } from './guideFile.ts';
import { decodePicture, ownPictures, pictureBytes, written } from './pictures.ts';
import * as say from './words.ts';

/** Nothing that can be planned is larger. */
const MAX_BYTES = 32_000_000;

function readFile(file: string): Outcome<string> {
  try {
    const { size } = statSync(file);
    if (size > MAX_BYTES) return failure(say.fileTooLarge(file, Math.round(size / 1e6), MAX_BYTES / 1e6));
    return success(readFileSync(file, 'utf8'));
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    return failure(code === 'ENOENT' ? say.notFound(file) : say.cannotRead(file, code ?? 'unknown'));
  }
}

/** The entries of a record, checked. */
function readEntries(file: string): Outcome<PieceRecord> {
  const text = readFile(file);
  if (!text.ok) return text;
  try {
    const checked = recordSchema.safeParse(JSON.parse(text.value));
    if (checked.success) return success(checked.data);
    const { path, message } = checked.error.issues[0]!;
    return failure(say.notARecord(file, path.join('.') || 'the whole', message));
  } catch {
    return failure(say.notJson(file));
  }
}

/** What the command line asks for, with what is read and written as pictures. */
export async function runPlanWithPictures(args: readonly string[]): Promise<Outcome<object>> {
  const options = readOptions(args);
  if (!options.ok) return options;
  const { paint, picture: out, guide } = options.value;
  const picture = paint && (await decodePicture(paint.file));
  if (picture && !picture.ok) return picture;
  const text = textAsked(options.value);
  if (!text.ok) return text;
  const own = await picturesOf(text.value);
  if (!own.ok) return own;
  const box = boxOf(options.value);
  if (!box.ok) return box;
  const planned = planText(text.value, options.value, picture?.value ?? null, own.value, box.value);
  if (!planned.ok) return planned;
  const { piece, workings } = planned.value;
  if (out) {
    const bytes = await pictureBytes(out, piece, workings);
    const saved = bytes.ok ? written(out.file, bytes.value) : bytes;
    if (!saved.ok) return saved;
  }
  if (guide) {
    const saved = written(guide.file, await guideText(guide, piece, workings, options.value.finish));
    if (!saved.ok) return saved;
  }
  return reportAsked(options.value, planned.value);
}

/** What the command line asks for, worked out: the report, or one sentence that says what is wrong. */
export function runPlan(args: readonly string[]): Outcome<object> {
  const options = readOptions(args);
  if (!options.ok) return options;
  const text = textAsked(options.value);
  if (!text.ok) return text;
  const box = boxOf(options.value);
  if (!box.ok) return box;
  const planned = planText(text.value, options.value, null, NO_PICTURES, box.value);
  return planned.ok ? reportAsked(options.value, planned.value) : planned;
}

/** The threads of the list that was given. */
function boxOf({ own }: PlanOptions): Outcome<ThreadBox> {
  if (own === null) return success(EMPTY_BOX);
  const text = readFile(own);
  if (!text.ok) return text;
  const read = readCsv(text.value, { name: own.replace(/^.*[\\/]/, '') });
  if (!read.ok) return failure(say.cannotRead(own, read.problem));
  const entries = read.value.rows.map(({ entry }) => entry);
  return entries.length > 0 ? success({ ...EMPTY_BOX, entries }) : failure(say.noThreads(own));
}

/** The text that is planned; a picture alone has none. */
function textAsked(options: PlanOptions): Outcome<string> {
  return options.paint?.isWholePicture ? success('') : readFile(options.file);
}

/** A piece that is painted brings its picture with it. */
async function picturesOf(text: string): Promise<Outcome<Pictures>> {
  const read = text.includes('"needle-painting"') ? readPiece(text) : null;
  return read?.ok ? ownPictures(read.value) : success(NO_PICTURES);
}

function reportAsked(asked: PlanOptions, planned: Planned): Outcome<object> {
  const { piece, workings } = planned;
  const { finish: end } = asked;
  const further = {
    ...paintingReport(planned),
    ...(asked.order && { order: orderReport(piece, workings.plan) }),
    ...(end && { finish: finishReport({ ...piece, finish: { ...piece.finish, end } }, workings.plan) }),
  };
  if (asked.record === null) return success({ ...report(planned), ...further });
  const entries = readEntries(asked.record);
  if (!entries.ok) return entries;
  return success({ ...report(planned), ...further, record: recordReport(entries.value, workings.plan) });
}
