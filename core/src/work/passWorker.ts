import type { PlannedPart, PlannedPass } from './plannedPart.ts';
import { labOf } from '../colour/index.ts';
import { attempt, type Faults } from '../measure/index.ts';
import type { SettledPass } from '../propose/index.ts';
import { type OwnFactors } from './ownFactors.ts';
import { NOTHING_BELOW, type Below } from './passShape.ts';
import { edgeInsetOf, laidScraps, layersBelow } from './scraps.ts';
import { type PictureBelow, type PlacedShape } from '../drawing/index.ts';
import { clothOf, travelBehindMm } from '../materials/index.ts';
import { isPainting, type Part, type PlanInput } from '../piece/index.ts';
import { beyondBudget } from './stitchBudget.ts';
import { planPass, withPass, type PaintedFrom, type WorkSettings } from './planPass.ts';

/** Works the passes of a piece, and keeps them: only what an edit touches is worked again. */
export class PassWorker {
  private kept = new Map<
    string,
    { placed: PlacedShape; key: string; below: PictureBelow | null; planned: PlannedPass }
  >();

  /**
   * All parts of a piece with their passes; what was kept of parts that are gone is forgotten.
   * @param faults what went wrong with parts before; what goes wrong here is added
   * @param tell hears how much is done, 0–1
   * @param picture what parts are painted from
   */
  workAll(
    parts: readonly Part[],
    shapes: readonly PlacedShape[],
    treatments: readonly (readonly SettledPass[])[],
    settings: WorkSettings,
    faults: Faults = new Map(),
    tell: (share: number) => void = () => undefined,
    picture: PaintedFrom | null = null,
  ): PlannedPart[] {
    const shared = JSON.stringify(settings);
    const before = this.kept;
    this.kept = new Map();
    const beyond = beyondBudget(shapes);
    const scraps = laidScraps(parts, shapes);
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
        const slot = `${part.id}#${layer}`;
        // What is painted hangs on the picture and on how its shades look, too.
        const painted = isPainting(pass) ? picture : null;
        const hexes = painted && pass.shades.map((id) => painted.hexOf(id));
        const key = shared + JSON.stringify([pass, below, mm, heaviest, hexes]);
        const known = before.get(slot);
        const from = painted?.below ?? null;
        const isSame = known?.placed === placed && known.key === key && known.below === from;
        const entry = isSame
          ? known
          : { placed, key, below: from, planned: planPass(placed, pass, own, below, painted, tellOf) };
        this.kept.set(slot, entry);
        below = withPass(below, placed, entry.planned);
        return entry.planned;
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

/** A painted part takes as long as so many others for each square millimetre. */
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
  const cloth = clothOf(piece.cloth.kind)!;
  return {
    cloth: cloth.id,
    clothMm: cloth.thicknessMm,
    slack: piece.worker.slack,
    travelMm: travelMm(piece),
    satinFrom: piece.worker.satinFrom,
    hand: piece.worker.hand,
    own: { ...own, ...piece.worker.own },
    seed,
  };
}

/** How far thread is carried behind the cloth of a piece, mm. */
export function travelMm(piece: PlanInput): number {
  return piece.worker.carryMm ?? allowedTravelMm(piece);
}

/** How far thread can be carried behind without showing through, mm. */
export function allowedTravelMm({ cloth }: PlanInput): number {
  return travelBehindMm(clothOf(cloth.kind)!, labOf(cloth.colour).l);
}
