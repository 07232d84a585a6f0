import { designCircle, readSvg, settleInHoop, tidy } from '@junctura/core/drawing';
import { success, type Outcome } from '@junctura/core/measure';
import type { Piece } from '@junctura/core/piece';
import type { JobInput, JobOutput } from '../jobs.ts';

/** A drawing as a new piece, in a hoop that suits it. */
export function readDrawing({ text, id, name }: JobInput<'readDrawing'>): Outcome<Piece> {
  const read = readSvg(text, id, name);
  if (!read.ok) return read;
  const circle = designCircle(read.value);
  return circle && circle.r > 0 ? success(settleInHoop(read.value, circle)) : read;
}

/** A drawing tidied by the rules that are wanted. */
export function tidied({ piece, except, also }: JobInput<'tidy'>): JobOutput<'tidy'> {
  const outcome = tidy(piece, { except: new Set(except), also: new Set(also) });
  const { palette, drawing } = outcome.piece;
  return { palette, parts: drawing.parts, tidied: outcome.tidied };
}
