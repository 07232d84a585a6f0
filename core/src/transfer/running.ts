import type { Plan } from '../thread/index.ts';
import { usesColour } from '../work/index.ts';
import { labOf } from '../colour/index.ts';
import { colourName, shadesOf, type PlanInput } from '../piece/index.ts';

const DYES = {
  /** Cloth lighter than this (CIELAB) shows dye that runs; dyes darker or stronger than these may run. */
  paleCloth: 80,
  runs: {
    darkerThan: 30,
    redChroma: 45,
    redWithinDeg: 45,
    redDarkerThan: 62,
    blueChroma: 32,
    blueFromDeg: -110,
    blueToDeg: -45,
  },
} as const;

/** Colours whose dye may run in water onto pale cloth, each with a part that is worked in it: strong reds and blues, near blacks. */
export function runningColours(piece: PlanInput, plan: Plan): { name: string; part: string }[] {
  if (labOf(piece.cloth.colour).l < DYES.paleCloth) return [];
  return piece.palette.flatMap((colour) => {
    const worked = plan.parts.find((planned) => usesColour(planned, colour.id));
    return worked && mayRun(colourName(colour).hex)
      ? [{ name: shadesOf(colour).first.name, part: worked.part.id }]
      : [];
  });
}

function mayRun(hex: string): boolean {
  const { l, a, b } = labOf(hex);
  const { darkerThan, redChroma, redWithinDeg, redDarkerThan, blueChroma, blueFromDeg, blueToDeg } = DYES.runs;
  const [chroma, hue] = [Math.hypot(a, b), (Math.atan2(b, a) * 180) / Math.PI];
  return (
    l < darkerThan ||
    (chroma > redChroma && Math.abs(hue) < redWithinDeg && l < redDarkerThan) ||
    (chroma > blueChroma && hue > blueFromDeg && hue < blueToDeg)
  );
}
