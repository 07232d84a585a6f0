import { orderOfWork, searchOrder, type OrderOfWork } from '../order/index.ts';
import { Memory, type Faults } from '../measure/index.ts';
import { NO_PICTURES, pictureBelow, type Pictures } from '../painting/index.ts';
import { colourName, colourOf, isPainted, type PlanInput } from '../piece/index.ts';
import { Neighbours, Proposer } from '../propose/index.ts';
import { sumUp, type Plan } from '../thread/index.ts';
import {
  CoarseFirst,
  PassWorker,
  type CoarsePart,
  type PlannedPart,
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

/** What a plan is made by, beside the piece and the person's own factors. */
export interface PlanWays {
  /** Settles whatever is left to chance: the same piece and seed give the same plan. */
  readonly seed?: number;
  /** The pictures below drawings, decoded. */
  readonly pictures?: Pictures;
  /** Hears how much of the paths is worked, 0–1. */
  readonly tell?: (share: number) => void;
  /** Hears the workings at once where the order must be searched for: with the order of the plan before, or the best that is found without a search. */
  readonly first?: (workings: Workings) => void;
}

/** What parts are painted from; null where none is, or the picture is not there. */
function paintedFrom(piece: PlanInput, pictures: Pictures): PaintedFrom | null {
  const below = isPainted(piece.drawing) ? pictureBelow(piece, pictures) : null;
  return below && { below, hexOf: (id) => colourName(colourOf(piece, id)).hex };
}

/**
 * Puts the stages together: shapes on the cloth, treatments, needle paths, the order of work, the thread, and what is found. It owns all that
 * stages remember: a part is laid, advised on and worked again only when an edit touches it. One planner serves one piece at a time.
 */
export class Planner {
  private readonly placer: ShapePlacer;
  private readonly proposer: Proposer;
  private readonly worker: PassWorker;
  private readonly coarse: CoarseFirst;

  private known: ReadonlySet<string> = new Set();
  /** The keys of the steps of the plan before, in their order. */
  private orderBefore: readonly string[] = [];

  constructor(readonly memory = new Memory()) {
    this.placer = new ShapePlacer(memory);
    this.proposer = new Proposer(memory);
    this.worker = new PassWorker(memory);
    this.coarse = new CoarseFirst(memory);
  }

  /** @param own how the person works, where the piece does not say */
  plan(piece: PlanInput, own: OwnFactors, ways: PlanWays = {}): Workings {
    const { memory } = this;
    const { pictures = NO_PICTURES, seed = 1, first } = ways;
    const { worked, neighbours } = this.work(piece, own, ways);
    const inOrder = (order: OrderOfWork): Workings => {
      const plan = sumUp(piece, worked, order, spreadOf(own), memory);
      return {
        plan,
        findings: findAll(piece, plan, { neighbours, pictures, memory }),
        narrow: narrowPlaces(plan, memory),
      };
    };
    const search = searchOrder(piece, worked, { seed }, memory);
    if (first && !search.isKnown) first(inOrder(search.first(this.orderBefore)));
    const workings = inOrder(search.best());
    this.orderBefore = workings.plan.order.map(({ key }) => key);
    return workings;
  }

  /** What is painted from a picture and must be painted anew, as it will about come out: at once, before the plan is made. */
  paintCoarsely(piece: PlanInput, own: OwnFactors, pictures: Pictures): CoarsePart[] {
    const from = paintedFrom(piece, pictures);
    if (!from) return [];
    return this.coarse.paint(piece.drawing.parts, this.placer.place(piece), from, own.width);
  }

  /** Plans a piece as it would be at another size: of findings, only those of its size. */
  planSize(piece: PlanInput, own: OwnFactors, pictures: Pictures): Workings {
    const { memory } = this;
    const { worked } = this.work(piece, own, { pictures });
    const plan = sumUp(piece, worked, orderOfWork(piece, worked, { seed: 1 }, memory), spreadOf(own), memory);
    return { plan, findings: findOfSize(piece, plan, memory), narrow: narrowPlaces(plan, memory) };
  }

  /** Plans a piece in an order that is not searched for, and finds nothing: what it about takes. */
  planRoughly(piece: PlanInput, own: OwnFactors, pictures: Pictures): Plan {
    const { memory } = this;
    const { worked } = this.work(piece, own, { pictures });
    return sumUp(piece, worked, orderOfWork(piece, worked, { tries: 0 }, memory), spreadOf(own), memory);
  }

  /** Forgets what is about parts that are gone. */
  private forgetAllBut(parts: PlanInput['drawing']['parts']): void {
    const ids = new Set(parts.map(({ id }) => id));
    if ([...this.known].some((id) => !ids.has(id))) this.memory.forgetAllBut(ids);
    this.known = ids;
  }

  private work(
    piece: PlanInput,
    own: OwnFactors,
    { seed = 1, pictures = NO_PICTURES, tell = () => undefined }: PlanWays,
  ): { worked: readonly PlannedPart[]; neighbours: Neighbours } {
    const { memory, placer } = this;
    const { parts } = piece.drawing;
    const faults: Faults = new Map();
    const shapes = placer.place(piece, faults);
    this.forgetAllBut(parts);
    const neighbours = new Neighbours(piece, shapes, memory);
    const { middleOf } = placer;
    const treatments = this.proposer.settle(piece, shapes, neighbours, faults, middleOf);
    const settings = workSettings(piece, seed, own);
    const ways = { settings, middleOf, picture: paintedFrom(piece, pictures), tell };
    const worked = this.worker.workAll(parts, shapes, treatments, ways, faults);
    return { worked, neighbours };
  }
}
