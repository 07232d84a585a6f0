import { DEFAULT_THREAD, laidWidthMm, markOf, threadKind } from '../materials/index.ts';
import { plural } from '../measure/index.ts';
import { plainPass, type Pass, type Piece, type PlanInput } from '../piece/index.ts';
import { stitchKind, type StitchId } from '../stitches/index.ts';
import type { SettledPass } from './settled.ts';

/** The thread that is proposed. */
/** The threads of whitework, matt: a fine and a heavy one. */
export const WHITEWORK_THREADS = ['matt-cotton', 'whitework-cotton'] as const;

/** A way to work a part, with why: all its layers in working order. The first of a part's proposals is used until the person chooses. */
export interface Proposal {
  readonly layers: readonly SettledPass[];
  /** The layer that works the part itself. */
  readonly pass: SettledPass;
  readonly reason: string;
}

/** What proposals depend on besides the drawing. */
export interface ProposalSettings {
  readonly use: Piece['use'];
  readonly markMm: number;
  readonly scale: number;
  /** The person's schools. */
  readonly knots: Piece['worker']['knots'];
  readonly strands: Piece['worker']['strands'];
  readonly layers: Piece['worker']['layers'];
}

export function proposalSettings(piece: PlanInput): ProposalSettings {
  return {
    use: piece.use,
    markMm: markOf(piece.mark).lineMm,
    scale: piece.placement.scale,
    knots: piece.worker.knots,
    strands: piece.worker.strands,
    layers: piece.worker.layers,
  };
}

/** A layer with nothing left open. */
export function layer(
  stitch: StitchId,
  strands: number,
  reason: string,
  more: Partial<Pass> & { readonly angleDeg?: number } = {},
): SettledPass {
  return { ...plainPass(stitch, DEFAULT_THREAD, strands), angleDeg: 0, ...more, reason };
}

/** A proposal of one layer. */
export function alone(pass: SettledPass): Proposal {
  return { layers: [pass], pass, reason: pass.reason };
}

/** A proposal with layers under and over what works the part. */
export function layered(
  { pass, reason }: Proposal,
  under: readonly SettledPass[],
  over: readonly SettledPass[] = [],
): Proposal {
  return { layers: [...under, pass, ...over], pass, reason };
}

/** Strands in which six of a skein come out even. */
export const SHARES = [1, 2, 3, 6] as const;

/** A strand more or fewer than usual, by school: fine works in one, bold in twice as many. */
export function bySchool(strands: number, school: ProposalSettings['strands']): number {
  return school === 'fine' ? 1 : school === 'bold' ? sharing(Math.min(6, strands * 2)) : strands;
}

/** The number of strands next above that six can be shared into. */
function sharing(strands: number): number {
  return SHARES.find((share) => share >= strands) ?? 6;
}

export function laidMm(strands: number): number {
  return laidWidthMm(threadKind(DEFAULT_THREAD), strands);
}

/** The strands wanted, or as many more as it takes to hide the mark under the stitch. */
export function coveringStrands(stitch: StitchId, wanted: number, markMm: number): number {
  const covers = (strands: number): boolean => stitchKind(stitch).coverWidths * laidMm(strands) >= markMm;
  // Four leave two over of every six, but less of the mark in view.
  return [...SHARES, 4].sort((a, b) => a - b).find((strands) => strands >= wanted && covers(strands)) ?? 4;
}

export function strandText(strands: number): string {
  return plural(strands, 'strand');
}

export function useText(use: Piece['use']): string {
  return {
    framed: 'in a frame',
    handled: 'on things that are handled',
    worn: 'on clothing',
    washed: 'in the wash',
    patch: 'on a patch',
    ornament: 'on an ornament',
    whitework: 'on whitework',
  }[use];
}
