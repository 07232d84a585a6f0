import type { PlannedPart, PlannedPass } from './plannedPart.ts';
import { labOf } from '../colour/index.ts';
import { attempt, Memory, type Faults } from '../measure/index.ts';
import type { SettledPass } from '../propose/index.ts';
import { type OwnFactors } from './ownFactors.ts';
import { NOTHING_BELOW, type Below } from './passShape.ts';
import { edgeInsetOf, laidScraps, layersBelow } from './scraps.ts';
import type { MiddleOf, PlacedShape } from '../drawing/index.ts';
import { clothOf, STABILISER_MM, travelBehindMm } from '../materials/index.ts';
import { isPainting, type Part, type PlanInput } from '../piece/index.ts';
import { beyondBudget } from './stitchBudget.ts';
import { passToWork, withPass, WORKED_PASS, type PaintedFrom, type WorkSettings } from './planPass.ts';

/** What passes of a piece are worked by, beside the parts themselves. */
export interface WorkWays {
  readonly settings: WorkSettings;
  readonly middleOf?: MiddleOf;
  /** What parts are painted from. */
  readonly picture?: PaintedFrom | null;
  /** Hears how much is done, 0–1. */
  readonly tell?: (share: number) => void;
}

/** Works the passes of a piece: only what an edit touches is worked again. */
export class PassWorker {
  constructor(private readonly memory = new Memory()) {}

  /**
   * All parts of a piece with their passes.
   * @param faults what went wrong with parts before; what goes wrong here is added
   */
  workAll(
    parts: readonly Part[],
    shapes: readonly PlacedShape[],
    treatments: readonly (readonly SettledPass[])[],
    { settings, middleOf, picture = null, tell = () => undefined }: WorkWays,
    faults: Faults = new Map(),
  ): PlannedPart[] {
    const { memory } = this;
    const beyond = beyondBudget(shapes);
    const scraps = laidScraps(parts, shapes, memory);
    const loads = loadsOf(parts, shapes);
    let done = 0;
    return parts.map((part, i): PlannedPart => {
      const [from, load] = [done, loads[i]!];
      done += load;
      const tellOf = (share: number): void => tell(from + load * share);
      tellOf(0);
      const placed = shapes[i]!;
      if (beyond.has(i)) return { part, placed, passes: [], fault: null };
      const { mm, heaviest } = layersBelow(scraps, placed, i, settings.cloth);
      const own = mm > 0 ? { ...settings, clothMm: settings.clothMm + mm, cloth: heaviest } : settings;
      let below: Below = { ...NOTHING_BELOW, edgeInsetMm: edgeInsetOf(part) };
      const work = (pass: SettledPass, layer: number): PlannedPass => {
        const toWork = passToWork(placed, pass, own, below, picture, middleOf);
        const planned = memory.made(WORKED_PASS, [part.id], toWork, layer, tellOf);
        below = withPass(below, placed, planned);
        return planned;
      };
      const passes = attempt(
        faults,
        part.id,
        () => treatments[i]!.map(work),
        () => [],
      );
      return { part, placed, passes, fault: faults.get(part.id) ?? null };
    });
  }
}

/** How many other parts a square millimetre of a painted part takes as long as. */
const PAINTED_LOAD = 0.1;

/** Which share of the work each part is, of 1 altogether. */
function loadsOf(parts: readonly Part[], shapes: readonly PlacedShape[]): number[] {
  const loads = parts.map(({ passes }, i) => {
    return 1 + (passes?.some(isPainting) ? PAINTED_LOAD * shapes[i]!.areaMm2 : 0);
  });
  const all = loads.reduce((sum, load) => sum + load, 0);
  return loads.map((load) => load / all);
}

/** @param own the person's figures, where the piece has none of its own */
export function workSettings(piece: PlanInput, seed: number, own: OwnFactors): WorkSettings {
  const cloth = clothOf(piece.cloth.kind);
  return {
    cloth: cloth.id,
    clothMm: cloth.thicknessMm + (isStabilised(piece) ? STABILISER_MM : 0),
    slack: piece.worker.slack,
    travelMm: travelMm(piece),
    satinFrom: piece.worker.satinFrom,
    hand: piece.worker.hand,
    own: { ...own, ...piece.worker.own },
    seed,
  };
}

/** Whether something lies behind the cloth, whatever is stitched on it: it was chosen, or the cloth stretches. */
function isStabilised({ stabiliser, cloth }: PlanInput): boolean {
  return stabiliser === null ? clothOf(cloth.kind).stretches : stabiliser !== 'none';
}

/** How far thread is carried behind the cloth of a piece, mm. */
export function travelMm(piece: PlanInput): number {
  return piece.worker.carryMm ?? allowedTravelMm(piece);
}

/** How far thread can be carried behind without showing through, mm. */
export function allowedTravelMm({ cloth }: PlanInput): number {
  return travelBehindMm(clothOf(cloth.kind), labOf(cloth.colour).l);
}
