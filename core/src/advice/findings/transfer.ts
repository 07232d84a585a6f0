import { type PlanInput, setMark } from '../../piece/index.ts';
import type { Plan } from '../../thread/index.ts';
import { fadedParts, showsOn, threadsOf, rankWays } from '../../transfer/index.ts';
import { clothOf, markOf, spoiltByWater, type Mark } from '../../materials/index.ts';
import { isSmallRound } from '../../propose/index.ts';
import {
  hundredths,
  type Finding,
  type Case,
  type Offer,
  type FindingKinds,
  type FindingRemedies,
} from '../finding.ts';
import * as say from '../words.ts';

/** What speaks against the way of marking that is chosen. */
export function transferFindings(piece: PlanInput, plan: Plan): Finding[] {
  const mark = markOf(piece.mark);
  const cloth = clothOf(piece.cloth.kind);
  const found: Finding[] = [];
  const worked = plan.parts.some(({ passes }) => passes.length > 0);
  if (!worked) return [];
  if (!showsOn(mark, cloth, piece.cloth.colour)) {
    found.push({
      id: "can't-trace",
      part: null,
      figures: { mark: mark.name, cloth: cloth.name, grams: cloth.weightGsm },
    });
  } else {
    const widths = widthsLostIn(mark, plan);
    if (widths.length > 0) {
      found.push({
        id: "can't-trace",
        part: null,
        figures: {
          mark: mark.name,
          lineMm: mark.lineMm,
          lost: widths.length,
          narrowestMm: hundredths(Math.min(...widths)),
        },
      });
    }
  }
  const fading = mark.staysDays === null ? undefined : fadedParts(piece, plan, mark.staysDays)[0];
  if (fading) {
    const day = hundredths(fading.endDay);
    found.push({
      id: 'fades-first',
      part: fading.partId,
      figures: { mark: mark.name, day, staysDays: mark.staysDays! },
    });
  }
  const spoilt = spoiltByWater(mark, [cloth, ...threadsOf(plan)]);
  if (spoilt) found.push({ id: 'water-spoils', part: null, figures: { mark: mark.name, spoilt: spoilt.name } });
  if (mark.heatSets && cloth.wash === 'no' && cloth.iron !== 'no') {
    found.push({ id: 'heat-sets', part: null, figures: { mark: mark.name, cloth: cloth.name } });
  }
  return found;
}

/** The widths of areas whose two edges meet in the line that marks them. What one knot stands for is marked by a dot. */
function widthsLostIn(mark: Mark, { parts }: Plan): number[] {
  return parts.flatMap(({ placed, passes }) => {
    if (placed.kind !== 'area' || !placed.widest || passes.length === 0 || isSmallRound(placed)) return [];
    const widthMm = 2 * placed.widest.r;
    return widthMm < LOST_WIDTHS * mark.lineMm ? [widthMm] : [];
  });
}

/** An area this many line widths across is marked by two lines that touch. */
const LOST_WIDTHS = 2;

function markedBetter({ piece, plan }: Pick<Case, 'piece' | 'plan'>): Offer[] {
  const [best] = rankWays(piece, plan);
  if (!best || best.mark.id === piece.mark) return [];
  return [[say.useMark(best.mark.inSentence), setMark(piece, best.mark.id)]];
}

/** Where each is looked at, and how bad it is. */
export const TRANSFER_KINDS = {
  "can't-trace": { step: 'transfer', severity: 'warn' },
  'fades-first': { step: 'transfer', severity: 'warn' },
  'heat-sets': { step: 'transfer', severity: 'warn' },
  'water-spoils': { step: 'transfer', severity: 'warn' },
} satisfies Partial<FindingKinds>;

/** What can be done about each, worked out only when it is asked for. */
export const TRANSFER_REMEDIES = {
  "can't-trace": markedBetter,
  'fades-first': markedBetter,
  'heat-sets': markedBetter,
  'water-spoils': markedBetter,
} satisfies Partial<FindingRemedies>;
