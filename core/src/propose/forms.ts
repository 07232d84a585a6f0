import { TREATMENT } from './thresholds.ts';
import { middleOf, type PlacedShape } from '../drawing/index.ts';
import type { MiddleLine } from '../geometry/index.ts';

/** What an area is like, as a needleworker would say. */
export interface Form {
  readonly kind: 'leaf' | 'strip' | 'plain';
  /** The widest it is across its middle line, and how long that line is, mm. */
  readonly widthMm: number;
  readonly lengthMm: number;
  /** How far the middle line turns from end to end, degrees. */
  readonly turnDeg: number;
}

/** Whether an area is a leaf (slender, narrowing to a tip), a curved strip, or neither. */
export function formOf(placed: PlacedShape): Form {
  const middle = placed.kind === 'area' ? middleOf(placed) : null;
  if (!middle) return { kind: 'plain', widthMm: 0, lengthMm: 0, turnDeg: 0 };
  const widthMm = Math.max(...middle.widthsMm);
  const { lengthMm, turnDeg } = runOf(middle);
  const slender = lengthMm / widthMm;
  const atTip = middle.widthsMm[Math.floor(middle.widthsMm.length * 0.92)]! / widthMm;
  const fullness = placed.areaMm2 / (lengthMm * widthMm);
  const { least, most } = TREATMENT.leafFullness;
  if (
    slender >= TREATMENT.leafSlenderness &&
    atTip < TREATMENT.leafTip &&
    fullness > least &&
    fullness < most &&
    turnDeg < 90
  ) {
    return { kind: 'leaf', widthMm, lengthMm, turnDeg };
  }
  const isStrip = slender >= TREATMENT.stripSlenderness && turnDeg >= TREATMENT.stripTurnDeg;
  return { kind: isStrip ? 'strip' : 'plain', widthMm, lengthMm, turnDeg };
}

function runOf({ points }: MiddleLine): { lengthMm: number; turnDeg: number } {
  let [lengthMm, turn, before] = [0, 0, NaN];
  for (let i = 2; i < points.length; i += 2) {
    const [dx, dy] = [points[i]! - points[i - 2]!, points[i + 1]! - points[i - 1]!];
    lengthMm += Math.hypot(dx, dy);
    const heading = Math.atan2(dy, dx);
    if (!Number.isNaN(before)) turn += Math.atan2(Math.sin(heading - before), Math.cos(heading - before));
    before = heading;
  }
  return { lengthMm, turnDeg: (Math.abs(turn) * 180) / Math.PI };
}
