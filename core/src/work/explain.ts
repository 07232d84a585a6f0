import { formatFine, formatThread, type UnitSystem } from '../measure/index.ts';
import { LOOKING, SECONDS } from '../materials/index.ts';
import { stitchKind } from '../stitches/index.ts';
import type { PlannedPass } from './plannedPart.ts';
import * as say from './words.ts';

/** What a layer's thread and minutes are made of, in sentences that hold its own figures. */
export function explained(pass: PlannedPass, areaMm2: number, units: UnitSystem): string[] {
  return [threadInWords(pass, units), ...coverInWords(pass, areaMm2), timeInWords(pass)];
}

function threadInWords({ quantities }: PlannedPass, units: UnitSystem): string {
  const { frontMm, backMm, wrapMm, throughMm, threadMm } = quantities;
  const bare = frontMm + backMm + wrapMm + throughMm;
  const thread = (mm: number): string => formatThread(mm, units);
  const ways = [
    [frontMm, say.onTheFront],
    [backMm, say.onTheBack],
    [wrapMm, say.roundTheNeedle],
    [throughMm, say.throughTheCloth],
  ] as const;
  const told = ways.filter(([mm]) => mm > 0.5).map(([mm, where]) => where(thread(mm)));
  return say.threadAlong(told, threadMm / bare - 1);
}

function coverInWords({ params, quantities }: PlannedPass, areaMm2: number): string[] {
  const spacingMm = params['spacingMm'];
  if (typeof spacingMm !== 'number' || areaMm2 <= 0) return [];
  return [say.timesArea(formatFine(spacingMm), (quantities.frontMm * spacingMm) / areaMm2)];
}

function timeInWords({ stitch, shades, quantities }: PlannedPass): string {
  const { findSeconds, care } = stitchKind(stitch);
  return say.secondsEach({
    each: quantities.seconds / Math.max(1, quantities.stitches),
    findSeconds,
    slower: shades.length > 1 ? care.shaded : care.oneShade,
    looking: LOOKING - 1,
    ...SECONDS,
  });
}
