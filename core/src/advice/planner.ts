import { Orderer } from '../order/index.ts';
import type { Faults } from '../measure/index.ts';
import { pictureBelow } from '../painting/index.ts';
import { colourName, colourOf, isPainted, type PlanInput } from '../piece/index.ts';
import { Neighbours, Proposer } from '../propose/index.ts';
import { sumUp, type Plan } from '../thread/index.ts';
import {
  CoarseFirst,
  PassWorker,
  type CoarsePart,
  type OwnFactors,
  type PaintedFrom,
  workSettings,
  spreadOf,
} from '../work/index.ts';
import { ShapePlacer } from '../drawing/index.ts';
import { narrowPlaces, type NarrowPlace } from './closeness.ts';
import type { Finding } from './finding.ts';
import { findAll, findOfSize } from './findings/index.ts';

/** All that is computed of a piece. */
export interface Workings {
  readonly plan: Plan;
  readonly findings: readonly Finding[];
  /** Where parts come nearer to each other than their thread is wide. */
  readonly narrow: readonly NarrowPlace[];
}

/** What parts are painted from; null where none is, or the picture is not there. */
function paintedFrom(piece: PlanInput): PaintedFrom | null {
  const below = isPainted(piece.drawing) ? pictureBelow(piece) : null;
  return below && { below, hexOf: (id) => colourName(colourOf(piece, id)).hex };
}

/**
 * Puts the stages together: shapes on the cloth, treatments, needle paths, the order of work, the thread, and what is found. Every
 * stage remembers: a part is laid, advised on and worked again only when an edit touches it. One planner serves one piece at a time.
 */
export class Planner {
  private readonly placer = new ShapePlacer();
  private readonly proposer = new Proposer();
  private readonly worker = new PassWorker();
  private readonly orderer = new Orderer();
  private readonly coarse = new CoarseFirst();

  /**
   * @param own how the person works, where the piece does not say
   * @param seed settles whatever is left to chance: the same piece and seed give the same plan
   * @param tell hears how much of the paths is worked, 0–1
   */
  plan(piece: PlanInput, own: OwnFactors, seed = 1, tell?: (share: number) => void): Workings {
    const { plan, neighbours } = this.work(piece, own, seed, tell);
    return { plan, findings: findAll(piece, plan, neighbours), narrow: narrowPlaces(plan) };
  }

  /** What is painted from a picture and must be painted anew, as it will about come out: at once, before the plan is made. */
  paintCoarsely(piece: PlanInput, own: OwnFactors): CoarsePart[] {
    const from = paintedFrom(piece);
    if (!from) return [];
    return this.coarse.paint(piece.drawing.parts, this.placer.place(piece), from, own.width);
  }

  /** Plans a piece as it would be at another size: of findings, only those of its size. */
  planSize(piece: PlanInput, own: OwnFactors): Workings {
    const { plan } = this.work(piece, own, 1);
    return { plan, findings: findOfSize(piece, plan), narrow: narrowPlaces(plan) };
  }

  private work(
    piece: PlanInput,
    own: OwnFactors,
    seed: number,
    tell?: (share: number) => void,
  ): { plan: Plan; neighbours: Neighbours } {
    const faults: Faults = new Map();
    const shapes = this.placer.place(piece, faults);
    const neighbours = new Neighbours(piece, shapes);
    const treatments = this.proposer.settle(piece, shapes, neighbours, faults);
    const settings = workSettings(piece, seed, own);
    const parts = this.worker.workAll(
      piece.drawing.parts,
      shapes,
      treatments,
      settings,
      faults,
      tell,
      paintedFrom(piece),
    );
    const order = this.orderer.find(piece, parts, { seed });
    return { plan: sumUp(piece, parts, order, spreadOf(own)), neighbours };
  }
}
