import { intersect, offset, regionArea, unite, type Region, type Ring } from '../geometry/index.ts';
import { clothOf } from '../materials/index.ts';
import { wholeRegion } from '../work/index.ts';
import { sewingRings } from './drawnOutline.ts';
import { ringLine, sheet, type FinishContext } from './context.ts';
import type { FinishMaterial, Template } from './kinds.ts';
import { sizeOf } from './outlines.ts';

/** How much of a turned edge lies under the scrap, mm. */
const TURNED_MM = 5;

/** The scraps of a piece as they are cut: with what is turned under, where their edge is. */
export function scrapsOf({ plan, memory }: FinishContext): { templates: Template[]; materials: FinishMaterial[] } {
  const rings = sewingRings(plan);
  const scraps = plan.parts.flatMap(({ part, placed }) => {
    if (!part.scrap) return [];
    const whole = wholeRegion(part, placed, memory);
    const outline = drawnFor(whole, rings) ?? whole;
    const cut = part.scrap.edge === 'turned' ? offset(outline, TURNED_MM) : outline;
    return [{ part, scrap: part.scrap, outline, cut }];
  });
  return {
    templates: scraps.map(({ part, scrap, outline, cut }) => ({
      id: `scrap-${part.id}`,
      name: `Scrap: ${part.name}`,
      lines: [
        ...cut.map((ring) => ringLine('cut', ring)),
        ...(scrap.edge === 'turned' ? outline.map((ring) => ringLine('fold', ring)) : []),
      ],
    })),
    materials: scraps.map(({ part, scrap, cut }) =>
      sheet(`scrap-${part.id}`, `${clothOf(scrap.cloth).name} for ${part.name}`, sizeOf(cut)),
    ),
  };
}

/** A line to sew along that shares this much with a scrap was drawn for it. */
const SHARED = 0.7;

/** The outline that was drawn for a scrap to sew it along; null: its own. */
function drawnFor(whole: Region, rings: readonly Ring[]): Region | null {
  const found = rings.find((ring) => {
    const both = regionArea(unite([...whole, ring], 'nonzero'));
    return regionArea(intersect(whole, [ring])) > SHARED * both;
  });
  return found ? [found] : null;
}
