import { formatFine, formatThread, type UnitSystem } from '../measure/index.ts';
import { LOOKING, SECONDS } from '../materials/index.ts';
import { stitchKind } from '../stitches/index.ts';
import type { PlannedPass } from './plannedPart.ts';

/** What a layer's thread and minutes are made of, in sentences that hold its own figures. */
export function explained(pass: PlannedPass, areaMm2: number, units: UnitSystem): string[] {
  return [threadInWords(pass, units), ...coverInWords(pass, areaMm2), timeInWords(pass)];
}

function threadInWords({ quantities }: PlannedPass, units: UnitSystem): string {
  const { frontMm, backMm, wrapMm, throughMm, threadMm } = quantities;
  const bare = frontMm + backMm + wrapMm + throughMm;
  const ways = [
    [frontMm, 'in front'],
    [backMm, 'behind'],
    [wrapMm, 'round the needle'],
    [throughMm, 'through the cloth'],
  ] as const;
  const told = ways.filter(([mm]) => mm > 0.5).map(([mm, where]) => `${formatThread(mm, units)} ${where}`);
  const slack = Math.round((threadMm / bare - 1) * 1000) / 10;
  return `Along the path of the needle: ${told.join(', ')}; ${slack} % more for slack.`;
}

function coverInWords({ params, quantities }: PlannedPass, areaMm2: number): string[] {
  const spacingMm = params['spacingMm'];
  if (typeof spacingMm !== 'number' || areaMm2 <= 0) return [];
  const times = (quantities.frontMm * spacingMm) / areaMm2;
  return [
    `Neighbours lie ${formatFine(spacingMm)} apart: the thread in front is ${times.toFixed(2)} times area over that distance.`,
  ];
}

function timeInWords({ stitch, shades, quantities }: PlannedPass): string {
  const { findSeconds, care } = stitchKind(stitch);
  const each = quantities.seconds / Math.max(1, quantities.stitches);
  const found = findSeconds > 0 ? `, ${findSeconds} s to find its place` : '';
  const looked = Math.round((LOOKING - 1) * 100);
  const slower = shades.length > 1 ? care.shaded : care.oneShade;
  const careful = slower > 1 ? `, and ${slower} times that to see where each belongs` : '';
  return `${each.toFixed(1)} s a stitch: ${SECONDS.stab} s for each way through the cloth, loops at ${SECONDS.loop} s and wraps at ${SECONDS.wrap} s where it has them${found}; ${looked} % more for turning the hoop and looking${careful}. Threading comes on top.`;
}
