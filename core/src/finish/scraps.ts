import { offset } from '../geometry/index.ts';
import { clothOf } from '../materials/index.ts';
import { wholeRegion } from '../work/index.ts';
import { ringLine, sheet, type FinishContext } from './context.ts';
import type { FinishMaterial, Template } from './kinds.ts';
import { sizeOf } from './outlines.ts';

/** How much of a turned edge lies under the scrap, mm. */
const TURNED_MM = 5;

/** The scraps of a piece as they are cut: with what is turned under, where their edge is. */
export function scrapsOf({ plan, memory }: FinishContext): { templates: Template[]; materials: FinishMaterial[] } {
  const scraps = plan.parts.flatMap(({ part, placed }) => {
    if (!part.scrap) return [];
    const outline = wholeRegion(part, placed, memory);
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
