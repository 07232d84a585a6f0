import { needleName } from '../../order/index.ts';
import { onPart, withStrands, leftOut, switchTo, tiedAlong, without, changeFilling } from './onParts.ts';
import { equalCircleMm, isInBox, placesOf } from '../../geometry/index.ts';
import { roundTo, type Memory } from '../../measure/index.ts';
import { type Part, type PlanInput, type Pass, setGuides, setStabiliser, setStrokeWidth } from '../../piece/index.ts';
import {
  longestSpan,
  tightestBendMm,
  roomForShades,
  SPAN_LIMIT_MM,
  WORN_USES,
  TREATMENT,
} from '../../propose/index.ts';
import { type PlannedPart, type PlannedPass, LONGEST_FRONT_RUN } from '../../work/index.ts';
import type { Plan } from '../../thread/index.ts';
import { drawsIn } from '../../transfer/index.ts';
import { lineToArea, type PlacedShape, outlineToLine } from '../../drawing/index.ts';
import { clothOf, isPulled, leavesHole, markOf } from '../../materials/index.ts';
import { knotDiameterMm, stitchKind, WIDEST_FIELD_MM2, type StitchId } from '../../stitches/index.ts';
import {
  hundredths,
  type FiguresOf,
  type Finding,
  type FindingId,
  type FindingKinds,
  type FindingRemedies,
} from '../finding.ts';
import { THRESHOLDS } from '../thresholds.ts';
import * as say from '../words.ts';

/** Stitches that span an area from edge to edge, which are ragged where they are very short. */
const SATIN_LIKE: ReadonlySet<string> = new Set(['satin', 'satin-surface']);
/** Stitches whose spans are tied down: how much of a span lies free. */
const TIED: Readonly<Partial<Record<StitchId, number>>> = { romanian: 0.5, couching: 0, 'couched-fill': 0 };
/** A narrow area wants threads this much finer than it is wide. */
const LEAST_THREADS_ACROSS = 2;
/** A stitch must hide this share of the width that is drawn. */
const LEAST_DRAWN = 0.6;

/** What is smaller than this on the cloth is not even a point of thread, mm. */
const LEAST_PART_MM = 0.5;

/** What there is to say of each part by itself: its size, its stitches, its directions, its use. */
export function partFindings(piece: PlanInput, { parts }: Plan, memory: Memory): Finding[] {
  return [...parts.flatMap((planned) => findingsOf(piece, planned, memory)), ...hiddenFindings(parts)];
}

/** What lies wholly behind other parts, all together. */
function hiddenFindings(parts: Plan['parts']): Finding[] {
  const hidden = parts.filter(({ part, placed }) => part.shown && !placed.box && placed.behind.length > 0);
  if (hidden.length === 0) return [];
  const names = hidden.slice(0, MOST_NAMED).map(({ part }) => part.name);
  const figures = { names: say.partNames(names, hidden.length - names.length), count: hidden.length };
  return [{ id: 'all-hidden', part: hidden.length === 1 ? hidden[0]!.part.id : null, figures }];
}

/** The most hidden parts that are named. */
const MOST_NAMED = 3;

function findingsOf(piece: PlanInput, planned: PlannedPart, memory: Memory): Finding[] {
  const { part, placed, passes } = planned;
  const at = ([id, figures]: Found): Finding => ({ id, part: part.id, figures }) as Finding;
  if (!part.shown) return [];
  if (!placed.box) {
    return placed.behind.length > 0 ? [] : [at(['part-too-small', { widestMm: 0, wantedMm: LEAST_PART_MM }])];
  }
  // A line along the middle, over a filling, holds its stitches down.
  const ties = passes.map((_, layer) =>
    passes.slice(layer + 1).flatMap((over) => (over.role === 'vein' ? [over.path] : [])),
  );
  return passes
    .flatMap((pass, layer): Found[] => [
      ...(pass.quantities.stitches === 0 ? [['no-stitches', { stitch: pass.stitch }] as const] : []),
      ...sizeFindings(placed, pass),
      ...coverFindings(piece, part, placed, pass),
      ...spanFindings(
        piece,
        placed,
        pass,
        memory.made(LONGEST_FRONT_RUN, [part.id], { path: pass.path, ties: ties[layer]! }, layer),
      ),
      ...knotFindings(placed, pass),
      ...fieldFindings(placed, pass),
      ...useFindings(piece, pass),
    ])
    .filter(([id]) => part.passes !== null || !OF_STITCH.has(id))
    .map(at);
}

/** What is found about a stitch where the person chose it: nothing is said against what was suggested and left as it was. */
const OF_STITCH: ReadonlySet<FindingId> = new Set([
  'snags',
  'drawn-wider',
  'span-too-long',
  'span-too-short',
  'cloth-shows',
  'needle-hole',
  'too-many-strands',
]);

type Found = { [Id in FindingId]: readonly [Id, FiguresOf[Id]] }[FindingId];

function sizeFindings(placed: PlacedShape, { stitch, strands, laidMm, params, role }: PlannedPass): Found[] {
  const kind = stitchKind(stitch);
  if (role !== 'filling') return [];
  if (kind.worksOn === 'area') {
    const widestMm = hundredths((placed.widest?.r ?? 0) * 2);
    const wantedMm = hundredths(THRESHOLDS.leastWidths * laidMm);
    if (widestMm < wantedMm) return [['part-too-small', { widestMm, wantedMm }]];
    const widthMm = hundredths(placed.meanWidthMm);
    const isCoarse = strands > 1 && widthMm < LEAST_THREADS_ACROSS * laidMm;
    return isCoarse ? [['too-many-strands', { widthMm, laidMm: hundredths(laidMm) }]] : [];
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

function coverFindings(piece: PlanInput, part: Part, placed: PlacedShape, pass: PlannedPass): Found[] {
  const kind = stitchKind(pass.stitch);
  const found: Found[] = [];
  // What lies under the filling or over it is not judged by the cloth between its threads.
  if (pass.role !== 'filling') return found;
  const mark = markOf(piece.mark);
  const coverMm = hundredths(kind.coverWidths * pass.laidMm);
  if (kind.worksOn === 'line' && placed.kind === 'line' && mark.comesOutBy === 'nothing' && coverMm < mark.lineMm) {
    found.push(['line-not-covered', { coverMm, markMm: mark.lineMm, strands: pass.strands }]);
  }
  const drawnMm = hundredths((part.strokeMm ?? 0) * piece.placement.scale);
  if (placed.kind === 'line' && !part.pen && drawnMm >= TREATMENT.wideLineMm) {
    const widthMm = hundredths(Number(pass.params['heightMm'] ?? coverMm));
    const percent = Math.round((100 * widthMm) / drawnMm);
    if (widthMm < LEAST_DRAWN * drawnMm) found.push(['drawn-wider', { drawnMm, coverMm: widthMm, percent }]);
  }
  // A filling that is open by nature is meant so; one whose rows were set apart may not be.
  const spacingMm = pass.given['spacingMm'];
  if (typeof spacingMm === 'number' && spacingMm > pass.laidMm * THRESHOLDS.openWidths) {
    found.push(['cloth-shows', { spacingMm: hundredths(spacingMm), laidMm: hundredths(pass.laidMm) }]);
  }
  return found;
}

/** Spans that lie free, of whatever stitch. */
function spanFindings(piece: PlanInput, placed: PlacedShape, pass: PlannedPass, longestRunMm: number): Found[] {
  const found: Found[] = [];
  // Padding and firm edges are covered by what lies over them.
  if (pass.role === 'padding' || pass.role === 'edge') return found;
  const limitMm = SPAN_LIMIT_MM[piece.use];
  const spanMm = hundredths(longestRunMm * (TIED[pass.stitch] ?? 1));
  if (spanMm > limitMm) found.push(['span-too-long', { stitch: stitchKind(pass.stitch).name, spanMm, limitMm }]);
  const isShort = spanMm < TREATMENT.shortestSatinMm && placed.areaMm2 > 0;
  if (SATIN_LIKE.has(pass.stitch) && isShort) {
    found.push(['span-too-short', { spanMm, leastMm: TREATMENT.shortestSatinMm }]);
  }
  return found;
}

/** One knot for a spot that it is too large or too small for. */
function knotFindings(placed: PlacedShape, { stitch, params, bundleMm, needle, role }: PlannedPass): Found[] {
  const wraps = params['wraps'];
  const isKnot =
    role === 'filling' && stitchKind(stitch).worksOn === 'spot' && stitchKind(stitch).needle === 'wrapping';
  if (!isKnot || placed.kind !== 'area' || stitch === 'bullion') return [];
  const knotMm = hundredths(knotDiameterMm(typeof wraps === 'number' ? wraps : 2, bundleMm, needle.shaftMm));
  const acrossMm = hundredths(equalCircleMm(placed.areaMm2));
  const isFit = knotMm <= KNOT_FITS.most * acrossMm && knotMm >= KNOT_FITS.least * acrossMm;
  return isFit ? [] : [['knot-size', { knotMm, acrossMm }]];
}

/** The least and the most that a knot may be of the spot that it stands for, as shares. */
const KNOT_FITS = { least: 0.7, most: 1.4 } as const;

function useFindings(piece: PlanInput, pass: PlannedPass): Found[] {
  const kind = stitchKind(pass.stitch);
  const cloth = clothOf(piece.cloth.kind);
  const found: Found[] = [];
  if (WORN_USES.has(piece.use) && kind.snags && !SATIN_LIKE.has(pass.stitch)) {
    found.push(['snags', { stitch: kind.name }]);
  }
  if (leavesHole(cloth, pass.needle.shaftMm, WORN_USES.has(piece.use))) {
    found.push(['needle-hole', { shaftMm: pass.needle.shaftMm, cloth: cloth.name }]);
  }
  if (kind.needle === 'wrapping' && pass.bundleMm > pass.needle.shaftMm) {
    const needle = needleName(pass.needle);
    found.push(['needle-eye', { needle, bundleMm: hundredths(pass.bundleMm) }]);
  }
  // What stretches, or is fine, gets something behind it unless the person chose nothing.
  if (piece.stabiliser === 'none' && drawsIn(pass) && isPulled(cloth))
    found.push(['pull', { stitch: kind.name, cloth: cloth.name }]);
  return found;
}

/** More shades than the width can show, and strokes that lie wholly outside what they shall direct. */
function fieldFindings(placed: PlacedShape, pass: PlannedPass): Found[] {
  const found: Found[] = [];
  if (pass.shades.length > 1) {
    const spanMm = hundredths(
      pass.direction === 'straight' ? longestSpan(placed.shape.region, pass.angleDeg) : (placed.widest?.r ?? 0) * 4,
    );
    const room = roomForShades(spanMm, pass.params);
    if (pass.shades.length > room) found.push(['too-many-shades', { shades: pass.shades.length, room, spanMm }]);
  }
  if (pass.direction !== 'straight' && placed.areaMm2 > WIDEST_FIELD_MM2) {
    found.push([
      'too-large-for-direction',
      { areaCm2: Math.round(placed.areaMm2 / 100), mostCm2: WIDEST_FIELD_MM2 / 100 },
    ]);
  }
  if (pass.direction === 'guides' && placed.box) {
    const { box } = placed;
    const isOutside = ({ points }: { points: Float64Array }): boolean => {
      for (const [x, y] of placesOf(points)) {
        if (isInBox(box, x, y)) return false;
      }
      return true;
    };
    const outside = placed.guides.filter(isOutside).length;
    if (outside > 0) found.push(['guide-outside', { outside }]);
  }
  return found;
}

/** Where each is looked at, and how bad it is. */
export const PARTS_KINDS = {
  'part-too-small': { step: 'drawing', severity: 'warn' },
  'all-hidden': { step: 'drawing', severity: 'note' },
  'no-stitches': { step: 'stitches', severity: 'warn' },
  'line-not-covered': { step: 'transfer', severity: 'warn' },
  'span-too-long': { step: 'stitches', severity: 'warn' },
  'span-too-short': { step: 'stitches', severity: 'note' },
  'cloth-shows': { step: 'stitches', severity: 'note' },
  'too-many-shades': { step: 'stitches', severity: 'note' },
  'too-large-for-direction': { step: 'stitches', severity: 'note' },
  'guide-outside': { step: 'stitches', severity: 'note' },
  'too-many-strands': { step: 'stitches', severity: 'warn' },
  snags: { step: 'stitches', severity: 'note' },
  'needle-hole': { step: 'stitches', severity: 'warn' },
  'drawn-wider': { step: 'stitches', severity: 'note' },
  'needle-eye': { step: 'stitches', severity: 'note' },
  'knot-size': { step: 'stitches', severity: 'note' },
  pull: { step: 'hoop', severity: 'warn' },
} satisfies Partial<FindingKinds>;

/** What can be done about each, worked out only when it is asked for. */
export const PARTS_REMEDIES = {
  'part-too-small': (of) =>
    onPart(of, (part) => [
      ['Use one strand fewer', withStrands(part, -1)],
      [
        'Stitch its outline only',
        part.planned.part.kind === 'area' ? outlineToLine(part.piece, [part.planned.part.id]) : null,
      ],
      leftOut(part),
    ]),
  'line-not-covered': (of) => onPart(of, (part) => [['Add a strand', withStrands(part, 1)]]),
  'span-too-long': (of) =>
    onPart(of, (part) => [
      [say.TIE_ALONG, tiedAlong(part, of.finding.figures.limitMm)],
      ['Use split stitch filling', switchTo(part, 'split-fill')],
    ]),
  'drawn-wider': (of) =>
    onPart(of, (part) => {
      const { coverMm, drawnMm } = of.finding.figures;
      const across = (pass: Pass): Pass => ({
        ...pass,
        stitch: 'overcast',
        params: { heightMm: roundTo(drawnMm, 1) },
      });
      const isWithin = drawnMm <= SPAN_LIMIT_MM[part.piece.use];
      const isClosed = part.planned.placed.shape.lines.every(({ closed }) => closed);
      return [
        ['Draw it thinner', setStrokeWidth(part.piece, [part.planned.part.id], coverMm / part.piece.placement.scale)],
        // What goes round would be filled: there the band itself is wanted.
        ['Make it an area', isClosed ? null : lineToArea(part.piece, [part.planned.part.id])],
        ['Use satin across it', isWithin ? changeFilling(part, across, 'Use satin across it') : null],
      ];
    }),
  'knot-size': (of) =>
    onPart(of, (part) => {
      const { knotMm, acrossMm } = of.finding.figures;
      return knotMm < acrossMm
        ? [
            ['Use several knots', switchTo(part, 'french-fill')],
            ['Use satin stitch', switchTo(part, 'satin')],
          ]
        : [['Use one strand fewer', withStrands(part, -1)]];
    }),
  'span-too-short': (of) => onPart(of, (part) => [['Use split stitch filling', switchTo(part, 'split-fill')]]),
  'cloth-shows': (of) =>
    onPart(of, (part) => {
      const close = (pass: Pass): Pass => ({ ...pass, params: without(pass.params, 'spacingMm') });
      return [['Make the rows touch', changeFilling(part, close, 'Make the rows touch')]];
    }),
  'too-many-shades': (of) => {
    const { room } = of.finding.figures;
    const fewer = (pass: Pass): Pass => ({ ...pass, shades: room < 2 ? [] : pass.shades.slice(0, room) });
    return onPart(of, (part) => [['Use fewer shades', changeFilling(part, fewer, 'Use fewer shades')]]);
  },
  'too-large-for-direction': (of) =>
    onPart(of, (part) => {
      const straight = (pass: Pass): Pass => ({ ...pass, direction: 'straight', points: [] });
      return [['Make the stitches straight', changeFilling(part, straight, 'Make the stitches straight')]];
    }),
  'guide-outside': (of) =>
    onPart(of, ({ piece, planned }) => [
      ['Remove direction strokes', setGuides(piece, [planned.part.id], [], 'Remove direction strokes')],
    ]),
  'too-many-strands': (of) => onPart(of, (part) => [['Use one strand fewer', withStrands(part, -1)]]),
  pull: ({ piece }) => [['Put a backing behind it', setStabiliser(piece, null)]],
  snags: (of) =>
    onPart(of, (part) => (part.planned.placed.kind === 'line' ? [['Use back stitch', switchTo(part, 'back')]] : [])),
} satisfies Partial<FindingRemedies>;
