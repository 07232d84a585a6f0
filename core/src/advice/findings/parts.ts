import { onPart, withStrands, leftOut, switchTo, without, changeFilling } from './onParts.ts';
import { formatFine } from '../../measure/index.ts';
import { type PlanInput, type Pass, setGuides } from '../../piece/index.ts';
import {
  longestSpan,
  tightestBendMm,
  roomForShades,
  SPAN_LIMIT_MM,
  WORN_USES,
  TREATMENT,
} from '../../propose/index.ts';
import { type PlannedPart, type PlannedPass, longestFrontRunMm } from '../../work/index.ts';
import type { Plan } from '../../thread/index.ts';
import { type PlacedShape, outlineToLine } from '../../drawing/index.ts';
import { clothOf, leavesHole, markOf } from '../../materials/index.ts';
import { stitchKind, WIDEST_FIELD_MM2 } from '../../stitches/index.ts';
import {
  hundredths,
  type FiguresOf,
  type Finding,
  type FindingId,
  type FindingKinds,
  type FindingRemedies,
} from '../finding.ts';
import { THRESHOLDS } from '../thresholds.ts';

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
  const at = ([id, figures]: Found): Finding => ({ id, part: part.id, figures }) as Finding;
  if (!part.shown) return [];
  if (!placed.box) {
    const isHidden = placed.behind.length > 0;
    return [
      at(isHidden ? ['all-hidden', { name: part.name }] : ['part-too-small', { widestMm: 0, wantedMm: LEAST_PART_MM }]),
    ];
  }
  return passes
    .flatMap((pass): Found[] => [
      ...(pass.quantities.stitches === 0 ? [['no-stitches', { stitch: pass.stitch }] as const] : []),
      ...sizeFindings(placed, pass),
      ...coverFindings(piece, placed, pass),
      ...fieldFindings(placed, pass),
      ...useFindings(piece, pass),
    ])
    .map(at);
}

type Found = { [Id in FindingId]: readonly [Id, FiguresOf[Id]] }[FindingId];

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

const mm = formatFine;

/** What is said of each. */
export const PARTS_KINDS = {
  'part-too-small': {
    step: 'drawing',
    severity: 'warn',
    say: ({ widestMm, lengthMm, wantedMm }) =>
      widestMm === undefined
        ? `The line is ${mm(lengthMm)} long; two stitches take ${mm(wantedMm)}.`
        : `It is ${mm(widestMm)} at its widest; the thread wants ${mm(wantedMm)}.`,
    why: 'Smaller than its thread, a part is a blot. Enlarge the design, take out strands, or leave it out.',
  },
  'all-hidden': {
    step: 'drawing',
    severity: 'note',
    say: ({ name }) => `“${name}” lies wholly behind other parts, so nothing of it is stitched.`,
    why: 'Bring it forward, keep hidden portions, or remove it.',
  },
  'no-stitches': {
    step: 'stitches',
    severity: 'warn',
    say: () => 'No stitch of this kind finds room in it.',
    why: 'The part would stay bare. Choose another stitch or a smaller one.',
  },
  'line-not-covered': {
    step: 'transfer',
    severity: 'warn',
    say: ({ coverMm, markMm, strands }) =>
      `The drawn line is ${mm(markMm)} wide, the stitch in ${strands} covers ${mm(coverMm)}.`,
    why: 'A mark that is wider than its stitch stays in view unless it comes out.',
  },
  'span-too-long': {
    step: 'stitches',
    severity: 'warn',
    say: ({ spanMm, limitMm }) => `Satin spans ${mm(spanMm)}; up to ${mm(limitMm)} lies well for this use.`,
    why: 'Long spans gape, snag and buckle.',
  },
  'span-too-short': {
    step: 'stitches',
    severity: 'note',
    say: ({ spanMm, leastMm }) => `Satin spans ${mm(spanMm)} at most, under ${mm(leastMm)}.`,
    why: 'So short, satin turns ragged: a line stitch is cleaner.',
  },
  'cloth-shows': {
    step: 'stitches',
    severity: 'note',
    say: ({ spacingMm, laidMm }) =>
      `Rows lie ${mm(spacingMm)} apart and the thread ${mm(laidMm)} wide: cloth shows between.`,
    why: 'Good for a light filling, a fault in a solid one.',
  },
  'too-many-shades': {
    step: 'stitches',
    severity: 'note',
    say: ({ shades, room, spanMm }) => `${shades} shades over ${mm(spanMm)}: there is room for ${room}.`,
    why: 'A shade needs a row of its own, about 3 mm, to be seen.',
  },
  'too-large-for-direction': {
    step: 'stitches',
    severity: 'note',
    say: ({ areaCm2, mostCm2 }) =>
      `It measures ${areaCm2} cm²: up to ${mostCm2} cm² stitches follow a direction that turns.`,
    why: 'No hoop holds so much. Its stitches lie straight; divide it to turn them.',
  },
  'guide-outside': {
    step: 'stitches',
    severity: 'note',
    say: ({ outside }) =>
      (outside === 1 ? 'A direction stroke lies' : `${outside} direction strokes lie`) + ' outside the part.',
    why: 'It still turns the stitches, but less than one drawn inside.',
  },
  'too-many-strands': {
    step: 'stitches',
    severity: 'warn',
    say: ({ radiusMm, laidMm }) => `It bends at ${mm(radiusMm)} radius; the thread is ${mm(laidMm)} wide.`,
    why: 'A bundle cannot draw what is finer than itself.',
  },
  snags: {
    step: 'stitches',
    severity: 'note',
    say: ({ stitch }) => `${stitch} stands up and can catch on a thing in use.`,
    why: 'Loops and knots pull out when they catch.',
  },
  'needle-hole': {
    step: 'stitches',
    severity: 'warn',
    say: ({ shaftMm, cloth }) => `The needle is ${mm(shaftMm)} thick: it leaves holes in ${cloth.toLowerCase()}.`,
    why: 'Holes in fine cloth do not close again. Fewer strands take a finer needle.',
  },
  pull: {
    step: 'stitches',
    severity: 'warn',
    say: ({ stitch, cloth }) => `${stitch} is dense for ${cloth.toLowerCase()}, which stretches.`,
    why: 'Without a backing the shape draws in. Follow the backing’s own instructions for heat and time.',
  },
} satisfies Partial<FindingKinds>;

/** What can be done about each, worked out only when it is asked for. */
export const PARTS_REMEDIES = {
  'part-too-small': (of) =>
    onPart(of, (part) => [
      ['Take a strand out', withStrands(part, -1)],
      [
        'Work its outline as a line',
        part.planned.part.kind === 'area' ? outlineToLine(part.piece, [part.planned.part.id]) : null,
      ],
      leftOut(part),
    ]),
  'line-not-covered': (of) => onPart(of, (part) => [['Add a strand', withStrands(part, 1)]]),
  'span-too-long': (of) => onPart(of, (part) => [['Fill with split stitch', switchTo(part, 'split-fill')]]),
  'span-too-short': (of) => onPart(of, (part) => [['Fill with split stitch', switchTo(part, 'split-fill')]]),
  'cloth-shows': (of) =>
    onPart(of, (part) => {
      const close = (pass: Pass): Pass => ({ ...pass, params: without(pass.params, 'spacingMm') });
      return [['Let neighbours touch', changeFilling(part, close, 'Close the rows')]];
    }),
  'too-many-shades': (of) => {
    const { room } = of.finding.figures;
    const fewer = (pass: Pass): Pass => ({ ...pass, shades: room < 2 ? [] : pass.shades.slice(0, room) });
    return onPart(of, (part) => [['Work in fewer shades', changeFilling(part, fewer, 'Work in fewer shades')]]);
  },
  'too-large-for-direction': (of) =>
    onPart(of, (part) => {
      const straight = (pass: Pass): Pass => ({ ...pass, direction: 'straight', points: [] });
      return [['Lay them straight', changeFilling(part, straight, 'Lay stitches straight')]];
    }),
  'guide-outside': (of) =>
    onPart(of, ({ piece, planned }) => [
      ['Remove the strokes', setGuides(piece, [planned.part.id], [], 'Remove the direction strokes')],
    ]),
  'too-many-strands': (of) => onPart(of, (part) => [['Take a strand out', withStrands(part, -1)]]),
  snags: (of) =>
    onPart(of, (part) =>
      part.planned.placed.kind === 'line' ? [['Work in back stitch', switchTo(part, 'back')]] : [],
    ),
} satisfies Partial<FindingRemedies>;
