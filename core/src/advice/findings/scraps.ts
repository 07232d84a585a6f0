import { clothOf } from '../../materials/index.ts';
import { setFilledWith, type PlanInput } from '../../piece/index.ts';
import type { Memory } from '../../measure/index.ts';
import { WORN_USES } from '../../propose/index.ts';
import type { Plan } from '../../thread/index.ts';
import { inscribedCircle, intersect, regionArea, type Region } from '../../geometry/index.ts';
import { laidScraps, wholeRegion } from '../../work/index.ts';
import { hundredths, type Finding, type FindingKinds, type FindingRemedies } from '../finding.ts';

/** Smaller scraps are hard to turn and to hold, mm across; a needle is pushed through no more cloth than this with ease, mm. */
const LEAST_MM = 10;
const MOST_LAYERS_MM = 2.2;

/** What speaks against cloth that is laid on cloth. */
export function scrapFindings(piece: PlanInput, plan: Plan, memory: Memory): Finding[] {
  const parts = plan.parts.map(({ part }) => part);
  const shapes = plan.parts.map(({ placed }) => placed);
  const scraps = laidScraps(parts, shapes, memory).filter(({ depth }) => parts[depth]!.scrap);
  if (scraps.length === 0) return [];
  const ground = clothOf(piece.cloth.kind);
  return scraps.flatMap(({ depth, region, thicknessMm }): Finding[] => {
    const { part, placed } = plan.parts[depth]!;
    const scrap = part.scrap!;
    const found: Finding[] = [];
    const whole = wholeRegion(part, placed, memory);
    const acrossMm = 2 * (inscribedCircle(whole)?.r ?? 0);
    if (!placed.box) found.push({ id: 'scrap-hidden', part: part.id, figures: { whole: true } });
    if (scrap.edge === 'raw' && (WORN_USES.has(piece.use) || piece.use === 'handled')) {
      found.push({ id: 'scrap-frays', part: part.id, figures: { use: piece.use } });
    }
    if (acrossMm > 0 && acrossMm < LEAST_MM) {
      found.push({ id: 'scrap-small', part: part.id, figures: { acrossMm: hundredths(acrossMm), leastMm: LEAST_MM } });
    }
    const cloth = clothOf(scrap.cloth);
    if (cloth.stretches) found.push({ id: 'scrap-stretches', part: part.id, figures: { cloth: cloth.name } });
    const under = scraps.filter((other) => other.depth < depth && meets(other.region, region));
    const layersMm = hundredths(ground.thicknessMm + under.reduce((sum, one) => sum + one.thicknessMm, thicknessMm));
    if (layersMm > MOST_LAYERS_MM) {
      found.push({ id: 'scrap-layers', part: part.id, figures: { layersMm, mostMm: MOST_LAYERS_MM } });
    }
    return found;
  });
}

const meets = (a: Region, b: Region): boolean => regionArea(intersect(a, b)) > 1;

/** Where each is looked at, and how bad it is. */
export const SCRAPS_KINDS = {
  'scrap-frays': { step: 'stitches', severity: 'warn' },
  'scrap-small': { step: 'stitches', severity: 'warn' },
  'scrap-stretches': { step: 'stitches', severity: 'note' },
  'scrap-layers': { step: 'stitches', severity: 'warn' },
  'scrap-hidden': { step: 'stitches', severity: 'warn' },
} satisfies Partial<FindingKinds>;

/** What can be done about each. */
export const SCRAPS_REMEDIES = {
  'scrap-frays': ({ piece, finding }) => {
    const part = piece.drawing.parts.find(({ id }) => id === finding.part);
    return part?.scrap
      ? [['Turn its edge under', setFilledWith(piece, [part.id], { ...part.scrap, edge: 'turned' })]]
      : [];
  },
  'scrap-small': ({ piece, finding }) => [['Fill it with thread', setFilledWith(piece, [finding.part!], null)]],
} satisfies Partial<FindingRemedies>;
