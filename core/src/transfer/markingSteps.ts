import { clothOf, markOf, type MarkId } from '../materials/index.ts';
import type { PlanInput } from '../piece/index.ts';
import { sittingsOf, type Plan } from '../thread/index.ts';
import { redrawPlan } from './redraw.ts';
import { behindCloth, drawsIn } from './stabiliser.ts';
import { tackingFor } from './tacks.ts';
import { topmostBelow, type Covering } from '../work/index.ts';
import * as say from './words.ts';

const TRACED = [
  'Lay the printed pattern under the cloth, middle on middle and grain upright, and fix both to a window or a light box with a little tape.',
] as const;
const TRY_FIRST = 'Try the marker on a corner of this cloth first, and follow its maker’s sheet.';

/** How each way of marking is done, from the printed pattern to the last line. */
const BY_MARK: Readonly<Record<MarkId, readonly string[]>> = {
  pencil: [
    ...TRACED,
    'Sharpen the pencil to a needle point and draw each line once, lightly; what you press in stays.',
  ],
  'heat-pen': [
    TRY_FIRST,
    ...TRACED,
    'Draw each line once. Keep the piece away from heat and sun until it is stitched.',
  ],
  'heat-pen-white': [
    TRY_FIRST,
    'On dark cloth, lay the cloth over the lit pattern, or copy the outlines by eye with the pattern beside you.',
    'Draw each line once and wait until it dries: only then does it show.',
  ],
  'water-pen': [TRY_FIRST, ...TRACED, 'Draw each line once. Do not iron it before every line has been rinsed out.'],
  'cloth-pencil': [
    'Lay the cloth over the lit pattern, or copy the outlines by eye with the pattern beside you.',
    'Draw each line once with a sharp point; brush off what smudges.',
  ],
  film: [
    'Print or trace the pattern onto the film, with the printed side up, and let the ink dry.',
    'Smooth the film onto the cloth, middle on middle, and tack it down.',
    'Stitch through film and cloth together; do not wet it before the last stitch.',
  ],
  tissue: [
    'Trace the pattern onto tissue paper and pin it onto the cloth, middle on middle.',
    'Sew every line with small running stitches through the tissue, then tear the tissue away along them.',
  ],
  'transfer-ink': [
    'Draw the mirrored pattern onto paper with the ink, and try a corner of it on a scrap of this cloth.',
    'Pin the paper face down on the cloth, middle on middle, and press with a hot iron, straight down, without sliding.',
    'You get one try. Irons and their steam burn: the maker’s sheet comes first.',
  ],
  printed: ['The design is printed on the cloth already: nothing needs to be drawn.'],
};

/**
 * How the design gets onto the cloth, step by step, as its way of marking asks for it: what is printed, how it is drawn, what is marked first
 * and last, what is held down, and what is drawn again later.
 */
export function markingSteps(piece: PlanInput, plan: Plan): string[] {
  const mark = markOf(piece.mark);
  if (mark.id === 'printed') return [...BY_MARK.printed];
  const scraps = plan.parts.filter(({ part }) => part.scrap);
  const cloth = clothOf(piece.cloth.kind);
  const later = mark.isLaidOn ? [] : drawnLater(plan);
  const tacks = mark.id === 'film' ? tackingFor(plan) : null;
  const redrawn = mark.staysDays === null ? [] : redrawPlan(piece, plan, mark.staysDays);
  const sittings = sittingsOf(piece, plan).length;
  return [
    mark.mirrored
      ? 'Print the mirrored pattern at 100%, and measure its bars before you use it.'
      : 'Print the pattern at 100%, and measure its bars before you use it.',
    ...BY_MARK[mark.id],
    ...(mark.id === 'film' && cloth.stretches && behindCloth(piece, plan).stabiliser.id === 'none'
      ? [say.FILM_BEHIND_TOO]
      : []),
    ...(mark.traced ? [say.TURN_TO_REST] : []),
    ...(mark.traced && mark.comesOutBy === 'nothing' ? [say.TRACE_REVERSE] : []),
    ...(tacks ? [say.tackRound(tacks.count - 1)] : []),
    cloth.weave === 'felt'
      ? 'Start with the middle of the design, then the outer lines; small details come last.'
      : 'Draw the line along the grain first, then the middle of the design, the outer lines, and small details last.',
    ...(scraps.length > 0 ? [say.noLinesUnder(scraps.map(({ part }) => part.name))] : []),
    ...(later.length > 0 ? [say.drawLater(later)] : []),
    ...(redrawn.length > 1 && sittings > 1 ? [say.drawFirst(mark.staysDays!, redrawn[0]!.until)] : []),
  ];
}

/** The names of what lies on close stitches or on cloth that is laid on: a mark below it would be hidden before it is reached. */
function drawnLater({ parts }: Plan): string[] {
  const covering = parts.flatMap(({ part, placed, passes }, depth): Covering[] =>
    part.scrap || passes.some(drawsIn) ? [{ depth, region: placed.shape.region }] : [],
  );
  return parts.flatMap(({ part, placed, passes }, depth) =>
    passes.length > 0 && topmostBelow(covering, placed, depth) !== null ? [part.name] : [],
  );
}
