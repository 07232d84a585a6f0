import { MM_PER_INCH, type UnitSystem } from '@junctura/core/measure';
import type { Hoop } from '@junctura/core/piece';

/** The size of a hoop as it is sold: “15 cm”, “20 × 13 cm”, “6 in”. */
export function hoopSizeText({ nominalMm, shortMm }: Pick<Hoop, 'nominalMm' | 'shortMm'>, units: UnitSystem): string {
  const size = (mm: number): string => (units === 'inch' ? `${Math.round(mm / MM_PER_INCH)}` : `${mm / 10}`);
  const across = shortMm === null ? size(nominalMm) : `${size(nominalMm)} × ${size(shortMm)}`;
  return `${across} ${units === 'inch' ? 'in' : 'cm'}`;
}
