import { drawnStroke } from './drawnStroke.ts';
import type { PlacedShape } from '../drawing/index.ts';
import { formatFine, roundTo } from '../measure/index.ts';
import type { Part } from '../piece/index.ts';
import { stitchKind, type StitchId } from '../stitches/index.ts';
import type { LineSense } from './drawingSense.ts';
import { SPAN_LIMIT_MM, TREATMENT, WORN_USES } from './thresholds.ts';
import {
  alone,
  bySchool,
  coveringStrands,
  laidMm,
  layer,
  useText,
  type Proposal,
  type ProposalSettings,
} from './treatment.ts';
import * as say from './words.ts';

/**
 * The ways to work a line, best first. Lines of one colour and width are judged together: a tight bend shortens the stitches there,
 * it does not change the whole line.
 */
export function lineProposals(
  part: Pick<Part, 'dashed' | 'pen'>,
  placed: PlacedShape,
  drawn: LineSense,
  settings: ProposalSettings,
): Proposal[] {
  if (part.pen) return penLine(part, placed, drawn, settings);
  return ofWidth(part, placed, drawn, settings);
}

/** The line of a pen: its stitches are as wide as a pen line is worked, whatever it was drawn with; as a bar only where the person wants one. */
function penLine(
  part: Pick<Part, 'dashed'>,
  placed: PlacedShape,
  drawn: LineSense,
  settings: ProposalSettings,
): Proposal[] {
  const drawnMm = drawn.drawnMm >= TREATMENT.wideLineMm ? TREATMENT.broadPenMm : TREATMENT.penMm;
  const lines = ofWidth(part, placed, { ...drawn, drawnMm: Math.min(drawn.drawnMm, drawnMm) }, settings);
  if (drawn.drawnMm < TREATMENT.wideLineMm || part.dashed) return lines;
  const [bar] = along(part, drawn, settings);
  return bar ? [...lines.slice(0, 1), bar, ...lines.slice(1)].slice(0, 3) : lines;
}

function ofWidth(
  part: Pick<Part, 'dashed'>,
  placed: PlacedShape,
  family: LineSense,
  settings: ProposalSettings,
): Proposal[] {
  const single = singleStitch(placed, family, settings);
  return [...(single ? [single] : []), ...along(part, family, settings)].slice(0, 3);
}

function along(
  part: Pick<Part, 'dashed'>,
  { drawnMm, radiusMm, count }: LineSense,
  settings: ProposalSettings,
): Proposal[] {
  const { markMm, use, strands: school } = settings;
  const usual = drawnMm < TREATMENT.fineLineMm ? 1 : drawnMm < TREATMENT.bodyLineMm ? 2 : 3;
  const make = (stitch: StitchId, why: string, atLeast = usual): Proposal => {
    const strands = coveringStrands(stitch, bySchool(atLeast, school), markMm);
    const width = stitchKind(stitch).coverWidths * laidMm(strands);
    return alone(layer(stitch, strands, say.lineReason(why, strands, formatFine(width), count)));
  };
  const back = make('back', 'A firm, unbroken line.');
  const split = make('split', say.splitCurves(radiusMm));
  const stem = make('stem', say.stemCurves(radiusMm));
  const chain = make('chain', say.chainBody(formatFine(drawnMm)));
  if (part.dashed) return [make('running', 'Drawn dashed: running stitch leaves the same gaps.'), back, stem];
  if (drawnMm >= TREATMENT.wideLineMm) return wideLine(drawnMm, radiusMm, settings, chain, stem);
  if (radiusMm < TREATMENT.tightRadiusMm) return [split, back, drawnMm >= TREATMENT.bodyLineMm ? chain : stem];
  // What is worn catches on chains: a cord of stem stitch lies flat.
  if (drawnMm >= TREATMENT.boldLineMm) return WORN_USES.has(use) ? [stem, back, chain] : [chain, stem, back];
  if (drawnMm >= TREATMENT.bodyLineMm && !WORN_USES.has(use)) {
    const whipped = make('whipped-back', say.whippedCord(formatFine(drawnMm)), 2);
    return [whipped, stem, chain];
  }
  if (radiusMm > TREATMENT.straightRadiusMm) {
    return [make('back', 'Almost straight: back stitch makes a firm, clear line.'), stem, split];
  }
  return [stem, split, back];
}

/** A line as wide as a band is worked as one: across it, or in rows. */
function wideLine(
  drawnMm: number,
  radiusMm: number,
  { use, strands: school }: ProposalSettings,
  chain: Proposal,
  stem: Proposal,
): Proposal[] {
  const width = formatFine(drawnMm);
  const heightMm = roundTo(drawnMm, 1);
  const { min, max } = rangeOf('overcast', 'heightMm');
  const fits = heightMm <= Math.min(max, SPAN_LIMIT_MM[use]) && heightMm >= min && radiusMm > drawnMm / 2;
  if (!fits) return WORN_USES.has(use) ? [stem, chain] : [chain, stem];
  const strands = bySchool(2, school);
  const overcast = layer('overcast', strands, say.satinBand(width, useText(use)), {
    params: { heightMm },
  });
  const isStraight = radiusMm > TREATMENT.straightRadiusMm;
  if (!isStraight || heightMm < TREATMENT.plaitedLineMm || WORN_USES.has(use)) return [alone(overcast), chain, stem];
  const plaited = layer('closed-herringbone', strands, say.plaitBand(width), { params: { heightMm } });
  return [alone(overcast), chain, alone(plaited)];
}

function rangeOf(stitch: StitchId, key: string): { min: number; max: number } {
  const param = stitchKind(stitch).params[key];
  return param?.type === 'number' ? param : { min: 0, max: 0 };
}

/** A very short line may be one stitch: a loop, a coil or a stroke; null where it is none of these. */
function singleStitch(
  placed: PlacedShape,
  family: LineSense,
  { use, strands: school }: ProposalSettings,
): Proposal | null {
  const stroke = drawnStroke(placed);
  if (!stroke) return null;
  const { lengthMm: straightMm, angleDeg } = stroke;
  if (straightMm < TREATMENT.strokeMm.least || placed.lengthMm > TREATMENT.strokeMm.most) return null;
  if (straightMm < TREATMENT.strokeStraightness * placed.lengthMm) return null;
  const lengthMm = roundTo(straightMm, 1);
  const text = formatFine(straightMm);
  const one = (stitch: StitchId, strands: number, why: string): Proposal =>
    alone(layer(stitch, strands, why, { angleDeg, params: { lengthMm } }));
  const { drawnMm } = family;
  const isWorn = WORN_USES.has(use);
  // Wider than a coil is, it is a small area.
  if (drawnMm > TREATMENT.widestCoilMm) return null;
  if (!isWorn && drawnMm >= TREATMENT.bodyLineMm && lengthMm >= 3) {
    return drawnMm >= TREATMENT.boldLineMm
      ? one('bullion', 2, say.oneBullion(text, formatFine(drawnMm)))
      : one('detached-chain', bySchool(2, school), say.oneLoop(text));
  }
  const needed = drawnMm > laidMm(2) ? 3 : drawnMm > laidMm(1) * 1.3 ? 2 : 1;
  return one('straight', bySchool(needed, school), say.oneStroke(text));
}
