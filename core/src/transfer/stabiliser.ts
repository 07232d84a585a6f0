import { bearsSoftFusing, clothOf, hoopNeeds, isPulled, stabiliserOf, type Stabiliser } from '../materials/index.ts';
import { spreadOfPositions } from '../drawing/index.ts';
import type { PlanInput } from '../piece/index.ts';
import { stitchKind, type StitchId } from '../stitches/index.ts';
import type { Plan } from '../thread/index.ts';
import * as say from './words.ts';

/** What lies behind the cloth of a piece, and what is done with it before the first stitch. */
export interface Behind {
  readonly stabiliser: Stabiliser;
  /** What is usual for this cloth and these stitches. */
  readonly suggested: Stabiliser;
  /** Why that is suggested, in a sentence. */
  readonly reason: string;
  /** Across and upright as it is cut, mm; null: nothing lies behind. */
  readonly sizeMm: readonly [number, number] | null;
  /** How it is laid and held. */
  readonly steps: readonly string[];
}

/** How far what lies behind reaches beyond the design where no hoop holds it, mm. */
const BEYOND_MM = 25;

/** Whether a stitch fills an area closely enough to draw soft cloth in. */
export function drawsIn({ stitch }: { readonly stitch: StitchId }): boolean {
  const kind = stitchKind(stitch);
  return kind.worksOn === 'area' && kind.coverWidths > 0;
}

/** What lies behind the cloth before it is stitched: as it was chosen, else by how the cloth stretches and how closely it is stitched. */
export function behindCloth(piece: PlanInput, plan: Plan): Behind {
  const cloth = clothOf(piece.cloth.kind);
  const isDense = plan.parts.some(({ passes }) => passes.some(drawsIn));
  const suggested = stabiliserOf(suggestedFor(piece, isDense));
  const stabiliser = piece.stabiliser === null ? suggested : stabiliserOf(piece.stabiliser);
  return {
    stabiliser,
    suggested,
    reason: say.whyBehind(suggested, cloth, isDense),
    sizeMm: stabiliser.id === 'none' ? null : sizeOf(piece, plan, stabiliser),
    steps: stabiliser.id === 'none' ? [] : say.layBehind(stabiliser.id, piece.hoop !== null),
  };
}

function suggestedFor({ cloth }: Pick<PlanInput, 'cloth'>, isDense: boolean): Stabiliser['id'] {
  const kind = clothOf(cloth.kind);
  if (!isPulled(kind)) return 'none';
  if (!kind.stretches) return isDense ? 'woven' : 'none';
  if (isDense) return bearsSoftFusing(kind) ? 'fusible' : 'woven';
  return kind.wash === 'no' ? 'tear-away' : 'wash-away';
}

/** What is fused lies behind the design alone; what is tacked is caught by the hoop, too. */
function sizeOf(piece: PlanInput, { design }: Plan, { isFused }: Stabiliser): readonly [number, number] {
  const own = [design.widthMm + 2 * BEYOND_MM, design.heightMm + 2 * BEYOND_MM] as const;
  if (isFused || !piece.hoop) return own;
  const { clothAcrossMm, clothUprightMm } = hoopNeeds(piece.hoop, spreadOfPositions(piece));
  return [Math.max(own[0], clothAcrossMm), Math.max(own[1], clothUprightMm)];
}
