import { middleFound, type MiddleOf, type PlacedShape } from '../drawing/index.ts';
import type { MiddleLine } from '../geometry/index.ts';
import { Memory, stage } from '../measure/index.ts';
import { DEFAULT_THREAD, laidWidthMm, strandsLike, threadKind } from '../materials/index.ts';
import { isUnstitched, type Part, type PlanInput } from '../piece/index.ts';
import { areaProposals } from './areas.ts';
import { senseOf, type Sense } from './drawingSense.ts';
import { scrapProposals } from './scraps.ts';
import { lineProposals } from './lines.ts';
import { isDisc } from './forms.ts';
import { isSmallRound } from './roles.ts';
import { Neighbours } from './neighbours.ts';
import { withOtherSchools, type Offer } from './schools.ts';
import type { SettledPass } from './settled.ts';
import { WORN_USES } from './thresholds.ts';
import {
  alone,
  bySchool,
  laidMm,
  layer,
  proposalSettings,
  strandText,
  WHITEWORK_THREADS,
  type Proposal,
  type ProposalSettings,
} from './treatment.ts';
import * as say from './words.ts';

/** What the treatments of a part are chosen by. */
interface ProposedPart extends Pick<Part, 'printed' | 'scrap' | 'dashed' | 'pen'> {
  readonly placed: PlacedShape;
  /** The middle line of an area that has one. */
  readonly middle: MiddleLine | null;
  readonly sense: Sense;
  readonly settings: ProposalSettings;
}

export const PROPOSALS = stage<ProposedPart>()(
  'proposals',
  ['printed', 'scrap', 'dashed', 'pen', 'placed', 'middle', 'sense', 'settings'],
  propose,
);

/** A part as the stage of its proposals is given it. */
export function asProposed(
  part: Part,
  placed: PlacedShape,
  sense: Sense,
  settings: ProposalSettings,
  middleOf: MiddleOf,
): ProposedPart {
  const { printed, scrap, dashed, pen } = part;
  const middle = placed.kind === 'area' && !isDisc(placed.whole ?? placed) ? middleOf(placed) : null;
  return { printed, scrap, dashed, pen, placed, middle, sense, settings };
}

/** The best treatments of a part, best first. */
function propose(proposed: ProposedPart): Proposal[] {
  const { settings } = proposed;
  const offers = inCotton(proposed);
  return settings.use === 'whitework' ? offers.map(inWhiteworkThread) : offers;
}

/** Whitework is worked in matt threads of its own: in that which lies about as wide as the strands of cotton that would be taken. */
function inWhiteworkThread({ layers, pass, reason }: Proposal): Proposal {
  const inThread = (layer: SettledPass): SettledPass => {
    if (layer.thread !== DEFAULT_THREAD) return layer;
    const wanted = laidMm(layer.strands);
    const offers = WHITEWORK_THREADS.map((id) => {
      const kind = threadKind(id);
      const strands = strandsLike(layer.strands, threadKind(DEFAULT_THREAD), kind);
      return { thread: id, strands, off: Math.abs(Math.log(laidWidthMm(kind, strands) / wanted)) };
    });
    const { thread, strands } = offers.reduce((a, b) => (b.off < a.off ? b : a));
    return { ...layer, thread, strands };
  };
  return { layers: layers.map(inThread), pass: inThread(pass), reason };
}

function inCotton({ placed, middle, sense, settings, ...part }: ProposedPart): Proposal[] {
  if (part.printed) return [];
  if (part.scrap) return scrapProposals(part.scrap, settings);
  if (placed.kind === 'area') {
    const { whole } = placed;
    // The paths follow what is seen; what it is worked in follows what it is.
    const judged = whole && !isSmallRound(whole) ? whole : placed;
    return areaProposals(judged, sense, settings, () => middle);
  }
  if (placed.kind === 'line' && sense.lines) return lineProposals(part, placed, sense.lines, settings);
  return spotProposals(settings);
}

/**
 * What can be done with each of some parts of a piece, best first, with the view of another school; nothing with those that are gone or hidden.
 * @param all every part of the piece as it lies, in its order
 */
export function proposalsFor(
  piece: PlanInput,
  all: readonly { readonly part: Part; readonly placed: PlacedShape }[],
  partIds: readonly string[],
): (readonly Offer[])[] {
  const shapes = all.map(({ placed }) => placed);
  const parts = all.map(({ part }) => part);
  const senses = senseOf(
    parts,
    shapes,
    piece.placement.scale,
    new Neighbours(piece, shapes),
    middleFound,
    new Memory(),
  );
  const settings = proposalSettings(piece);
  return partIds.map((id) => {
    const at = parts.findIndex((part) => part.id === id);
    const placed = shapes[at];
    if (!placed?.box || isUnstitched(parts[at]!)) return [];
    return withOtherSchools(settings, (school) =>
      propose(asProposed(parts[at]!, placed, senses[at]!, school, middleFound)),
    );
  });
}

function spotProposals({ knots, strands: school, use }: ProposalSettings): Proposal[] {
  const strands = bySchool(2, school);
  const other = knots === 'french' ? 'colonial' : 'french';
  const knot = alone(layer(knots, strands, say.dot(strandText(strands))));
  const flat = alone(layer('seed-pair', strands, 'Two short stitches side by side: they lie flat.', { angleDeg: 60 }));
  if (WORN_USES.has(use)) {
    return [knot, flat, alone(layer('star', strands, 'A small star: flat, and it holds in the wash.'))];
  }
  return [
    knot,
    alone(layer(other, strands, 'The other round knot, the same size.')),
    alone(layer('detached-chain', strands, 'A single loop: a bud or a teardrop.', { angleDeg: 90 })),
  ];
}
