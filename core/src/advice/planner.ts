import { ShapePlacer, type PlacedShape } from '../drawing/index.ts';
import type { Part, Pass, Piece } from '../piece/index.ts';
import {
  PassWorker,
  sumUp,
  USUAL_HAND,
  type OwnHand,
  workSettings,
  type Plan,
  type PlannedPart,
  type SettledPass,
} from '../plan/index.ts';
import { stitchKind } from '../stitches/index.ts';
import type { Finding } from './finding.ts';
import { findAll, findOfSize } from './findings.ts';
import { Neighbours, turnedFromNeighbours } from './neighbours.ts';
import { propose, proposalSettings, satinDirection, type Proposal, type ProposalSettings } from './proposals.ts';

/** All that is computed of a piece. */
export interface Workings {
  readonly plan: Plan;
  readonly findings: readonly Finding[];
}

/**
 * Plans pieces, and remembers: a part is laid, advised on and worked again only when an edit touches it. One planner
 * serves one piece at a time.
 */
export class Planner {
  private readonly placer = new ShapePlacer();
  private readonly worker = new PassWorker();
  private advised = new Map<string, { placed: PlacedShape; key: string; proposals: Proposal[] }>();

  /**
   * @param seed settles whatever is left to chance: the same piece and seed give the same plan
   * @param own how the person works, where the piece does not say
   */
  plan(piece: Piece, seed = 1, own: OwnHand = USUAL_HAND): Workings {
    const { plan, neighbours } = this.work(piece, seed, own);
    return { plan, findings: findAll(piece, plan, neighbours) };
  }

  /** Plans a piece as it would be at another size: of findings, only those of its size. */
  planSize(piece: Piece, own: OwnHand): Workings {
    const { plan } = this.work(piece, 1, own);
    return { plan, findings: findOfSize(piece, plan) };
  }

  private work(piece: Piece, seed: number, own: OwnHand): { plan: Plan; neighbours: Neighbours } {
    const shapes = this.placer.place(piece);
    const settings = workSettings(piece, seed, own);
    const advice = proposalSettings(piece);
    const advised: typeof this.advised = new Map();
    const neighbours = new Neighbours(piece, shapes);
    const parts: PlannedPart[] = [];
    piece.drawing.parts.forEach((part, i) => {
      const placed = shapes[i]!;
      const offered = (): readonly Proposal[] => this.advise(part, placed, advice, advised);
      let passes: readonly SettledPass[] = placed.box ? settledPasses(part, placed, offered) : [];
      if (part.passes === null) {
        const alike = neighbours.alikeBefore(i).map((j) => parts[j]!);
        passes = turnedFromNeighbours({ part, placed, passes }, alike);
      }
      parts.push({ part, placed, passes: this.worker.work(placed, passes, settings) });
    });
    this.advised = advised;
    return { plan: sumUp(piece, parts, own.handSpread), neighbours };
  }

  private advise(
    part: Part,
    placed: PlacedShape,
    settings: ProposalSettings,
    into: typeof this.advised,
  ): readonly Proposal[] {
    const key = JSON.stringify([settings, part.strokeMm, part.dashed]);
    const before = this.advised.get(part.id);
    const isSame = before?.placed === placed && before.key === key;
    const entry = isSame ? before : { placed, key, proposals: placed.box ? propose(part, placed, settings) : [] };
    into.set(part.id, entry);
    return entry.proposals;
  }
}

const CHOSEN = 'Your choice.';

/** @param offered asked only where something is left open: proposals take time to find */
function settledPasses(part: Part, placed: PlacedShape, offered: () => readonly Proposal[]): SettledPass[] {
  if (part.passes === null) {
    return offered()
      .slice(0, 1)
      .map(({ pass, reason }) => ({ ...pass, reason }));
  }
  return part.passes.map((pass) => ({
    ...pass,
    angleDeg: pass.angleDeg ?? usualAngle(pass, placed, offered),
    reason: CHOSEN,
  }));
}

/** The direction of a pass that was given none: as proposed for its stitch, else as satin lies, else level. */
function usualAngle(pass: Pass, placed: PlacedShape, offered: () => readonly Proposal[]): number {
  if (!stitchKind(pass.stitch).hasDirection) return 0;
  const proposed = offered().find((proposal) => proposal.pass.stitch === pass.stitch);
  return proposed?.pass.angleDeg ?? satinDirection(placed).angleDeg;
}
