import type { PlanInput } from '../piece/index.ts';
import { longestSpan, tightestBendMm, roomForShades, SPAN_LIMIT_MM, WORN_USES, TREATMENT } from '../propose/index.ts';
import { type PlannedPart, type PlannedPass, longestFrontRunMm } from '../work/index.ts';
import type { Plan } from '../thread/index.ts';
import type { PlacedShape } from '../drawing/index.ts';
import { clothOf, leavesHole, markOf } from '../materials/index.ts';
import { stitchKind, WIDEST_FIELD_MM2 } from '../stitches/index.ts';
import { hundredths, type Figures, type Finding, type FindingId } from './finding.ts';
import { THRESHOLDS } from './thresholds.ts';

/** Stitches that span an area from edge to edge; they are judged by their spans. */
const SATIN_LIKE: ReadonlySet<string> = new Set(['satin', 'satin-surface']);

/** What is smaller than this on the cloth is not even a point of thread, mm. */
const LEAST_PART_MM = 0.5;

/** What there is to say of each part by itself: its size, its stitches, its directions, its use. */
export function partFindings(piece: PlanInput, { parts }: Plan): Finding[] {
  return parts.flatMap((planned) => findingsOf(piece, planned));
}

function findingsOf(piece: PlanInput, planned: PlannedPart): Finding[] {
  const { part, placed, passes } = planned;
  const at = (id: FindingId, figures: Figures): Finding => ({ id, part: part.id, figures });
  if (!part.shown) return [];
  if (!placed.box) {
    const isHidden = placed.behind.length > 0;
    return [
      isHidden ? at('all-hidden', { name: part.name }) : at('part-too-small', { widestMm: 0, wantedMm: LEAST_PART_MM }),
    ];
  }
  const found: Finding[] = [];
  for (const pass of passes) {
    if (pass.quantities.stitches === 0) found.push(at('no-stitches', { stitch: pass.stitch }));
    found.push(...sizeFindings(placed, pass).map(([id, figures]) => at(id, figures)));
    found.push(...coverFindings(piece, placed, pass).map(([id, figures]) => at(id, figures)));
    found.push(...fieldFindings(placed, pass).map(([id, figures]) => at(id, figures)));
    found.push(...useFindings(piece, pass).map(([id, figures]) => at(id, figures)));
  }
  return found;
}

type Found = readonly [FindingId, Figures];

function sizeFindings(placed: PlacedShape, { stitch, laidMm, params, role }: PlannedPass): Found[] {
  const kind = stitchKind(stitch);
  if (role !== 'filling') return [];
  if (kind.worksOn === 'area') {
    const widestMm = hundredths((placed.widest?.r ?? 0) * 2);
    const wantedMm = hundredths(THRESHOLDS.leastWidths * laidMm);
    return widestMm < wantedMm ? [['part-too-small', { widestMm, wantedMm }]] : [];
  }
  if (kind.worksOn !== 'line') return [];
  const found: Found[] = [];
  const stitchMm = Number(params['stitchMm'] ?? 0);
  if (placed.lengthMm < 2 * laidMm || placed.lengthMm < stitchMm * 0.8) {
    found.push(['part-too-small', { lengthMm: hundredths(placed.lengthMm), wantedMm: hundredths(2 * stitchMm) }]);
  }
  const radiusMm = hundredths(tightestBendMm(placed));
  const drawableMm = hundredths(THRESHOLDS.drawableRadiusWidths * laidMm);
  if (radiusMm < drawableMm) found.push(['too-many-strands', { radiusMm, laidMm: hundredths(laidMm) }]);
  return found;
}

function coverFindings(piece: PlanInput, placed: PlacedShape, pass: PlannedPass): Found[] {
  const kind = stitchKind(pass.stitch);
  const found: Found[] = [];
  // What lies under the filling or over it is not judged by the cloth between its threads.
  if (pass.role !== 'filling') return found;
  const mark = markOf(piece.mark)!;
  const coverMm = hundredths(kind.coverWidths * pass.laidMm);
  if (kind.worksOn === 'line' && placed.kind === 'line' && coverMm < mark.lineMm) {
    found.push(['line-not-covered', { coverMm, markMm: mark.lineMm, strands: pass.strands }]);
  }
  const spacingMm = pass.params['spacingMm'];
  if (typeof spacingMm === 'number' && spacingMm > pass.laidMm * THRESHOLDS.openWidths) {
    found.push(['cloth-shows', { spacingMm: hundredths(spacingMm), laidMm: hundredths(pass.laidMm) }]);
  }
  if (SATIN_LIKE.has(pass.stitch)) {
    const spanMm = hundredths(longestFrontRunMm(pass));
    const limitMm = SPAN_LIMIT_MM[piece.use];
    if (spanMm > limitMm) found.push(['span-too-long', { spanMm, limitMm }]);
    if (spanMm < TREATMENT.shortestSatinMm && placed.areaMm2 > 0) {
      found.push(['span-too-short', { spanMm, leastMm: TREATMENT.shortestSatinMm }]);
    }
  }
  return found;
}

function useFindings(piece: PlanInput, pass: PlannedPass): Found[] {
  const kind = stitchKind(pass.stitch);
  const cloth = clothOf(piece.cloth.kind)!;
  const found: Found[] = [];
  if (WORN_USES.has(piece.use) && kind.snags && !SATIN_LIKE.has(pass.stitch)) {
    found.push(['snags', { stitch: kind.name }]);
  }
  if (leavesHole(cloth, pass.needle.shaftMm)) {
    found.push(['needle-hole', { shaftMm: pass.needle.shaftMm, cloth: cloth.name }]);
  }
  const isDense = kind.worksOn === 'area' && kind.coverWidths > 0;
  if (isDense && cloth.stretches) found.push(['pull', { stitch: kind.name, cloth: cloth.name }]);
  return found;
}

/** More shades than the width can show, and strokes that lie wholly outside what they shall direct. */
function fieldFindings(placed: PlacedShape, pass: PlannedPass): Found[] {
  const found: Found[] = [];
  if (pass.shades.length > 1) {
    const spanMm = hundredths(
      pass.direction === 'straight' ? longestSpan(placed.shape.region, pass.angleDeg) : (placed.widest?.r ?? 0) * 4,
    );
    const room = roomForShades(spanMm);
    if (pass.shades.length > room) found.push(['too-many-shades', { shades: pass.shades.length, room, spanMm }]);
  }
  if (pass.direction !== 'straight' && placed.areaMm2 > WIDEST_FIELD_MM2) {
    found.push([
      'too-large-for-direction',
      { areaCm2: Math.round(placed.areaMm2 / 100), mostCm2: WIDEST_FIELD_MM2 / 100 },
    ]);
  }
  if (pass.direction === 'guides' && placed.box) {
    const { minX, minY, maxX, maxY } = placed.box;
    const isOutside = ({ points }: { points: Float64Array }): boolean => {
      for (let i = 0; i < points.length; i += 2) {
        if (points[i]! >= minX && points[i]! <= maxX && points[i + 1]! >= minY && points[i + 1]! <= maxY) return false;
      }
      return true;
    };
    const outside = placed.guides.filter(isOutside).length;
    if (outside > 0) found.push(['guide-outside', { outside }]);
  }
  return found;
}
