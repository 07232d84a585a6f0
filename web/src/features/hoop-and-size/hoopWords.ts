import { formatLength, MM_PER_INCH, roundTo, type UnitSystem } from '@junctura/core/measure';
import type { Hoop } from '@junctura/core/piece';

/** A ring this near to whole inches is sold by them. */
const NEAR_INCH = 0.13;

/** The size of a hoop as it is sold: “15 cm”, “20 × 13 cm”, “6 in”, “4 1/2 in”. */
export function hoopSizeText({ nominalMm, shortMm }: Pick<Hoop, 'nominalMm' | 'shortMm'>, units: UnitSystem): string {
  const size = units === 'inch' ? inches : (mm: number): string => String(roundTo(mm / 10, 1));
  const across = shortMm === null ? size(nominalMm) : `${size(nominalMm)} × ${size(shortMm)}`;
  return `${across} ${units === 'inch' ? 'in' : 'cm'}`;
}

function inches(mm: number): string {
  const whole = Math.round(mm / MM_PER_INCH);
  return Math.abs(mm / MM_PER_INCH - whole) < NEAR_INCH ? String(whole) : formatLength(mm, 'inch').replace(' in', '');
}
