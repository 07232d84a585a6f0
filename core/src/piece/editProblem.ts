import type { z } from '../measure/index.ts';
import { placeInWords } from './file.ts';
import { colourSchema, MAX_PARTS, partSchema, pieceSchema, unsoundIn, type Piece } from './schema.ts';

/**
 * Where an edit made something of a piece that could not be kept and read again, in words; null: nowhere. Only what is not the same object as before is
 * looked at, so that it costs next to nothing.
 */
export function editProblem(before: Piece, after: Piece): string | null {
  const { drawing: drawingSchema, ...fields } = pieceSchema.shape;
  const issue =
    issueIn(fields, before, after, { palette: (value) => listIssue(colourSchema, before.palette, value.palette) }) ??
    issueIn(drawingSchema.shape, before.drawing, after.drawing, {
      parts: (value) => listIssue(partSchema, before.drawing.parts, value.parts),
    }) ??
    (before.palette === after.palette && before.drawing.parts === after.drawing.parts
      ? null
      : (unsoundIn(after).next().value ?? null));
  if (!issue) return null;
  return placeInWords(issue.path);
}

interface Issue {
  readonly path: readonly PropertyKey[];
}

/** The first thing that is wrong in the fields that are another object than before. */
function issueIn<T extends object>(
  shape: Readonly<Record<string, z.ZodType>>,
  before: T,
  after: T,
  lists: Readonly<Record<string, (value: T) => Issue | null>>,
): Issue | null {
  for (const [key, schema] of Object.entries(shape)) {
    const name = key as keyof T;
    if (before[name] === after[name]) continue;
    const list = lists[key];
    const found = list ? list(after) : schema.safeParse(after[name]).error?.issues[0];
    if (found) return { path: [key, ...found.path] };
  }
  return null;
}

/** The first thing that is wrong in those items of a list that were not in it before. */
function listIssue<T>(item: z.ZodType, before: readonly T[], after: readonly T[]): Issue | null {
  const known = new Set(before);
  for (const [i, value] of after.entries()) {
    const [found] = known.has(value) ? [] : (item.safeParse(value).error?.issues ?? []);
    if (found) return { path: [i, ...found.path] };
  }
  return after.length > MAX_PARTS ? { path: ['parts'] } : null;
}
