import { labOf } from '../colour/index.ts';
import type { Piece } from '../piece/index.ts';
import { colourName, shadesOf, usesColour, type Plan } from '../plan/index.ts';
import { THRESHOLDS } from './thresholds.ts';

/** Colours whose dye may run in water onto pale cloth, each with a part that is worked in it: strong reds and blues, near blacks. */
export function runningColours(piece: Piece, plan: Plan): { name: string; part: string }[] {
  if (labOf(piece.cloth.colour).l < THRESHOLDS.paleCloth) return [];
  return piece.palette.flatMap((colour) => {
    const worked = plan.parts.find((planned) => usesColour(planned, colour.id));
    return worked && mayRun(colourName(colour).hex)
      ? [{ name: shadesOf(colour).first.name, part: worked.part.id }]
      : [];
  });
}

function mayRun(hex: string): boolean {
  const { l, a, b } = labOf(hex);
  const { darkerThan, redChroma, redWithinDeg, redDarkerThan, blueChroma, blueFromDeg, blueToDeg } = THRESHOLDS.runs;
  const [chroma, hue] = [Math.hypot(a, b), (Math.atan2(b, a) * 180) / Math.PI];
  return (
    l < darkerThan ||
    (chroma > redChroma && Math.abs(hue) < redWithinDeg && l < redDarkerThan) ||
    (chroma > blueChroma && hue > blueFromDeg && hue < blueToDeg)
  );
}
