import { labOf } from '../../colour/index.ts';
import { Memory } from '../../measure/index.ts';
import type { Piece } from '../../piece/index.ts';
import { groupLikeParts } from '../likeParts.ts';
import { cutShapes, isTooLarge } from '../shapeCutter.ts';
import { islands, leftToCloth, specks } from './areas.ts';
import { madeOne } from './colours.ts';
import type { Drawn, TidyContext, TidyStep } from './drawn.ts';
import { doubledLines, ownStrokes, penLines, underLines } from './lines.ts';
import { ribbons } from './ribbons.ts';
import { sharedBorders } from './sharedBorders.ts';
import { TIDY } from './thresholds.ts';

/** The rules by which a drawing is tidied, in the order in which they are applied. Those that are only asked about come last. */
export const TIDY_RULES = [
  'islands',
  'doubled-lines',
  'own-strokes',
  'under-lines',
  'shared-borders',
  'one-colour',
  'specks',
  'left-to-cloth',
  'pen-lines',
  'similar-colours',
  'ribbons',
] as const;
export type TidyRule = (typeof TIDY_RULES)[number];

/** What could as well be meant: it is done only where the person asks for it. */
export const ASKED_RULES: ReadonlySet<TidyRule> = new Set(['similar-colours', 'ribbons']);

const RULES: Readonly<Record<TidyRule, (drawn: Drawn, context: TidyContext) => TidyStep>> = {
  islands: (drawn) => islands(drawn),
  'doubled-lines': doubledLines,
  'own-strokes': (drawn) => ownStrokes(drawn),
  'under-lines': (drawn) => underLines(drawn),
  'shared-borders': sharedBorders,
  'one-colour': (drawn) => madeOne(drawn, TIDY.sameColour),
  specks,
  'left-to-cloth': leftToCloth,
  'pen-lines': penLines,
  'similar-colours': (drawn) => madeOne(drawn, TIDY.similarColour),
  ribbons: (drawn) => ribbons(drawn),
};

/** What one rule found in a drawing. */
export interface Tidied {
  readonly rule: TidyRule;
  readonly count: number;
  /** The names of the parts that it found. */
  readonly parts: readonly string[];
  /** Whether it was done, or only found. */
  readonly isDone: boolean;
}

export interface TidyOutcome {
  readonly piece: Piece;
  readonly tidied: readonly Tidied[];
}

/** What of the rules is not as usual: those that are left out, and those that are asked for. */
export interface TidyWishes {
  readonly except?: ReadonlySet<TidyRule>;
  readonly also?: ReadonlySet<TidyRule>;
}

/**
 * Tidies a drawing as a teacher would before choosing any stitch, at the size that it has on the cloth. Parts that lie wholly behind others are
 * dropped as well, and not told of.
 */
export function tidy(piece: Piece, { except = new Set(), also = new Set() }: TidyWishes = {}): TidyOutcome {
  const context = { scale: piece.placement.scale, cloth: labOf(piece.cloth.colour) };
  const tidied: Tidied[] = [];
  let drawn: Drawn = { parts: piece.drawing.parts, palette: piece.palette };
  for (const rule of TIDY_RULES) {
    const step = RULES[rule](drawn, context);
    if (step.found.length === 0) continue;
    const isDone = !except.has(rule) && (!ASKED_RULES.has(rule) || also.has(rule));
    tidied.push({ rule, count: step.found.length, parts: step.found, isDone });
    if (isDone) drawn = step.drawn;
  }
  const isUntouched = drawn.parts === piece.drawing.parts;
  const seen = seenParts({ ...piece, drawing: { ...piece.drawing, parts: [...drawn.parts] } });
  // A drawing is never emptied.
  const parts = seen.length > 0 ? seen : drawn.parts;
  if (isUntouched && parts.length === piece.drawing.parts.length) return { piece, tidied };
  return {
    piece: { ...piece, palette: [...drawn.palette], drawing: { ...piece.drawing, parts: groupLikeParts(parts) } },
    tidied,
  };
}

/** The parts that can be seen. A part that is too large to be worked stays, so that the finding about it can say so. */
function seenParts(piece: Piece): Piece['drawing']['parts'] {
  const shapes = cutShapes(piece, new Map(), new Memory());
  return piece.drawing.parts.filter(
    (part, i) => !part.shown || shapes[i]!.box !== null || isTooLarge(part, piece.placement),
  );
}
