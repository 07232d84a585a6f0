import type { PlanInput } from '../piece/index.ts';
import type { Plan } from '../thread/index.ts';
import { fadedParts, showsOn, threadsOf } from '../transfer/index.ts';
import { clothOf, markOf, spoiltByWater } from '../materials/index.ts';
import { hundredths, type Finding } from './finding.ts';

/** What speaks against the way of marking that is chosen. */
export function transferFindings(piece: PlanInput, plan: Plan): Finding[] {
  const mark = markOf(piece.mark)!;
  const cloth = clothOf(piece.cloth.kind)!;
  const found: Finding[] = [];
  const worked = plan.parts.some(({ passes }) => passes.length > 0);
  if (!worked) return [];
  if (!showsOn(mark, cloth, piece.cloth.colour)) {
    found.push({
      id: "can't-trace",
      part: null,
      figures: { mark: mark.name, cloth: cloth.name, grams: cloth.weightGsm },
    });
  }
  const fading = mark.staysDays === null ? undefined : fadedParts(piece, plan, mark.staysDays)[0];
  if (fading) {
    const day = hundredths(fading.day);
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
