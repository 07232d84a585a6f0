import { formatLength, formatNumber, formatThread, type UnitSystem } from '../measure/index.ts';
import type { FinishMaterial } from './kinds.ts';
import * as say from './words.ts';

/** A size across and upright, both in one unit. */
function sizeInWords([across, upright]: readonly [number, number], units: UnitSystem): string {
  if (units === 'inch') return `${formatLength(across, units)} × ${formatLength(upright, units)}`;
  if (Math.max(across, upright) < 100) return say.sizeMm(across, upright);
  return say.sizeCm(across, upright);
}

/** How much of a material is needed, in words. */
export function materialInWords({ quantity, unit, sizeMm }: FinishMaterial, units: UnitSystem): string {
  if (sizeMm) {
    const size = sizeInWords(sizeMm, units);
    return quantity === 1 ? size : say.ofSize(quantity, size);
  }
  switch (unit) {
    case 'mm':
      return quantity > 1000 ? formatThread(quantity, units) : formatLength(quantity, units);
    case 'mm2':
      return `${formatNumber(quantity / 100)} cm²`;
    case 'g':
      return `${formatNumber(quantity, quantity < 10 ? 1 : 0)} g`;
    case 'pieces':
      return formatNumber(quantity);
  }
}
