import { tightestBendMm } from './bends.ts';
import { isSmallRound } from './roles.ts';
import type { PlacedShape } from '../drawing/index.ts';
import { bundleDiameterMm, laidWidthMm, markOf, threadKind, wrappingNeedle } from '../materials/index.ts';
import { formatFine, plural } from '../measure/index.ts';
import { plainPass, type Part, type Pass, type PassDirection, type Piece, type PlanInput } from '../piece/index.ts';
import { knotDiameterMm, stitchKind, type StitchId } from '../stitches/index.ts';
import { formOf, type Form } from './forms.ts';
import { shortestSpans, type Direction } from './direction.ts';
import { SPAN_LIMIT_MM, WORN_USES, TREATMENT } from './thresholds.ts';

const THREAD = 'stranded-cotton';

/** A way to work a part, with why. The first of a part's proposals is used until the person chooses. */
export interface Proposal {
  readonly pass: Pass & { readonly angleDeg: number };
  readonly reason: string;
}

/** What proposals depend on besides the part. */
export interface ProposalSettings {
  readonly use: Piece['use'];
  readonly markMm: number;
  readonly scale: number;
  /** The person's schools. */
  readonly knots: Piece['worker']['knots'];
  readonly strands: Piece['worker']['strands'];
}

export function proposalSettings(piece: PlanInput): ProposalSettings {
  return {
    use: piece.use,
    markMm: markOf(piece.mark)!.lineMm,
    scale: piece.placement.scale,
    knots: piece.worker.knots,
    strands: piece.worker.strands,
  };
}

/** The best treatments of a part, best first. */
export function propose(part: Part, placed: PlacedShape, settings: ProposalSettings): Proposal[] {
  if (placed.kind === 'area') return areaProposals(placed, settings);
  if (placed.kind === 'line') return lineProposals(part, placed, settings);
  return spotProposals(settings);
}

/** What can be done with a part of a piece, best first. */
export function proposalsFor(
  piece: PlanInput,
  { part, placed }: { readonly part: Part; readonly placed: PlacedShape },
): readonly Proposal[] {
  return placed.box ? propose(part, placed, proposalSettings(piece)) : [];
}

const directions = new WeakMap<PlacedShape, Direction>();

/** The direction that satin takes on an area when none is set. Shapes never change, so it is found once. */
export function satinDirection(placed: PlacedShape): Direction {
  const known = directions.get(placed) ?? shortestSpans(placed.shape.region);
  directions.set(placed, known);
  return known;
}

function laid(strands: number): number {
  return laidWidthMm(threadKind(THREAD)!, strands);
}

function proposal(stitch: StitchId, strands: number, angleDeg: number, reason: string): Proposal {
  return { pass: { ...plainPass(stitch, THREAD, strands), angleDeg }, reason };
}

/** A strand more or fewer than usual, by school: fine works in one, bold in twice as many. */
function bySchool(strands: number, school: ProposalSettings['strands']): number {
  return school === 'fine' ? 1 : school === 'bold' ? Math.min(6, strands * 2) : strands;
}

function areaProposals(placed: PlacedShape, settings: ProposalSettings): Proposal[] {
  const { use, strands: school } = settings;
  const direction = satinDirection(placed);
  const limit = SPAN_LIMIT_MM[use];
  const span = direction.spanMm;
  const usual = placed.meanWidthMm < TREATMENT.narrowMm ? 1 : placed.areaMm2 > TREATMENT.largeMm2 ? 3 : 2;
  const strands = bySchool(usual, school);
  const along = (direction.angleDeg + 90) % 180;
  const widthText = formatFine(span);
  const satin = (why: string): Proposal => proposal('satin', strands, direction.angleDeg, why);
  const rows = (why: string): Proposal => proposal('split-fill', strands, along, why);
  const hasRoomForSeeds = placed.areaMm2 >= TREATMENT.leastSeededMm2;
  const light = hasRoomForSeeds
    ? [proposal('seed', strands, 0, 'A light scatter: little thread, and the cloth stays in view.')]
    : [];
  const isWide = span >= TREATMENT.leastShadedMm && !WORN_USES.has(use);
  const soft = isWide
    ? [
        proposal(
          'long-short',
          1,
          along,
          `Wide enough (${widthText}) for soft rows without a line between; one strand blends best.`,
        ),
      ]
    : light;
  if (isSmallRound(placed)) {
    const across = 2 * Math.sqrt(placed.areaMm2 / Math.PI);
    return [
      knotFor(across, settings.knots),
      satin(`Flat instead of raised: spans of ${widthText} at ${direction.angleDeg}°.`),
      rows('Even rows where a knot would catch.'),
    ];
  }
  const shaped = byForm(formOf(placed), use, strands);
  if (shaped.length > 0) {
    return [...shaped, rows('Firmer and flatter; the direction runs along the shape.')].slice(0, 3);
  }
  if (span < TREATMENT.shortestSatinMm) {
    return [
      rows(
        `Only ${widthText} wide: rows of split stitch along it, as satin wants ${formatFine(TREATMENT.shortestSatinMm)}.`,
      ),
      satin(`Very short spans of ${widthText}.`),
      ...soft,
    ];
  }
  if (span <= Math.min(limit, TREATMENT.easySatinMm)) {
    return [
      satin(
        `Spans stay within ${widthText} at ${direction.angleDeg}° (up to ${limit} mm hold ${useText(use)}): smooth and bright.`,
      ),
      rows('Firmer and flatter; the direction runs along the shape.'),
      ...soft,
    ];
  }
  const tooLong = span > limit ? `over the ${limit} mm that hold ${useText(use)}` : 'long enough to gape';
  return [
    rows(`Satin would span ${widthText}, ${tooLong}: rows of split stitch lie firm at any width.`),
    satin(`Bright and quick, but spans reach ${widthText}.`),
    ...soft,
  ];
}

/** What the form of an area calls for: halves and a vein for a leaf, satin that turns with a curved strip. */
function byForm({ kind, widthMm, turnDeg }: Form, use: Piece['use'], strands: number): Proposal[] {
  const limit = SPAN_LIMIT_MM[use];
  const width = formatFine(widthMm);
  if (kind === 'leaf' && widthMm >= TREATMENT.shortestSatinMm * 1.5) {
    const halves = proposal(
      'satin-leaf',
      strands,
      0,
      `A leaf ${width} wide: two slanting halves that meet at its vein keep every span short.`,
    );
    const fly = proposal(
      'fly-leaf',
      strands,
      0,
      `Narrow enough (${width}) for closed fly stitches, tied along the vein.`,
    );
    const isWithin = (widthMm / 2) * Math.SQRT2 <= limit;
    return [...(isWithin ? [halves] : []), ...(widthMm <= TREATMENT.widestFlyLeafMm ? [fly] : [])];
  }
  if (kind === 'strip' && widthMm >= TREATMENT.shortestSatinMm && widthMm <= Math.min(limit, TREATMENT.easySatinMm)) {
    const turning = proposal(
      'satin',
      strands,
      0,
      `A strip ${width} wide that turns by ${Math.round(turnDeg)}°: satin across it turns with it.`,
    );
    const along = proposal('stem-fill', strands, 0, 'Rows of stem stitch along the strip: ropy, and firm in use.');
    return [withDirection(turning, 'across'), withDirection(along, 'along')];
  }
  return [];
}

function withDirection(offer: Proposal, direction: PassDirection): Proposal {
  return { ...offer, pass: { ...offer.pass, direction } };
}

function knotFor(acrossMm: number, school: ProposalSettings['knots']): Proposal {
  const kind = threadKind(THREAD)!;
  const sizes = [1, 2, 3, 4, 6].map((strands) => ({
    strands,
    mm: knotDiameterMm(2, bundleDiameterMm(kind, strands), wrappingNeedle(strands).shaftMm),
  }));
  const best = sizes.reduce((a, b) => (Math.abs(b.mm - acrossMm) < Math.abs(a.mm - acrossMm) ? b : a));
  const reason = `${formatFine(acrossMm)} across and round: one knot of two wraps in ${strandText(best.strands)} comes to ${formatFine(best.mm)}.`;
  return proposal(school, best.strands, 0, reason);
}

function spotProposals({ knots, strands: school, use }: ProposalSettings): Proposal[] {
  const strands = bySchool(2, school);
  const other = knots === 'french' ? 'colonial' : 'french';
  const knot = proposal(knots, strands, 0, `A spot: one knot of two wraps in ${strandText(strands)}.`);
  const flat = proposal('seed-pair', strands, 60, 'Two short stitches side by side: they lie flat.');
  if (WORN_USES.has(use))
    return [knot, flat, proposal('star', strands, 0, 'A small star: flat, and it holds in the wash.')];
  return [
    knot,
    proposal(other, strands, 0, 'The other round knot, as large.'),
    proposal('detached-chain', strands, 90, 'A single loop: a bud or a drop.'),
  ];
}

function lineProposals(
  part: Part,
  placed: PlacedShape,
  { markMm, scale, strands: school }: ProposalSettings,
): Proposal[] {
  const drawnMm = (part.strokeMm ?? 0) * scale;
  const radius = tightestBendMm(placed);
  const fine = bySchool(drawnMm < TREATMENT.fineLineMm ? 1 : drawnMm < TREATMENT.boldLineMm ? 2 : 3, school);
  const make = (stitch: StitchId, why: string): Proposal => {
    const strands = coveringStrands(stitch, fine, markMm);
    const width = stitchKind(stitch).coverWidths * laid(strands);
    return proposal(
      stitch,
      strands,
      0,
      `${why} ${strandText(strands)} cover ${formatFine(width)}.`.replace('1 strand cover', '1 strand covers'),
    );
  };
  const running = make('running', 'Drawn dashed: running stitch leaves the same gaps.');
  const stem = make('stem', `${curveText(radius)}: stem stitch follows as a smooth cord.`);
  const back = make('back', 'A firm, unbroken line.');
  const split = make('split', `${curveText(radius)}: split stitch takes the tightest curves.`);
  const chain = make('chain', `Drawn ${formatFine(drawnMm)} wide: chain stitch gives a line that much body.`);
  if (part.dashed) return [running, back, stem];
  if (radius < TREATMENT.tightRadiusMm) return [split, back, chain];
  if (drawnMm >= TREATMENT.boldLineMm) return [chain, stem, back];
  if (radius > 60) return [make('back', 'All but straight: back stitch makes a firm, clear line.'), stem, split];
  return [stem, split, back];
}

/** The strands wanted, or as many more as it takes to hide the mark under the stitch. */
export function coveringStrands(stitch: StitchId, wanted: number, markMm: number): number {
  for (let strands = wanted; strands < 4; strands++) {
    if (stitchKind(stitch).coverWidths * laid(strands) >= markMm) return strands;
  }
  return 4;
}

function curveText(radiusMm: number): string {
  return Number.isFinite(radiusMm) ? `Bends down to ${formatFine(radiusMm)} radius` : 'No bends';
}

function strandText(strands: number): string {
  return plural(strands, 'strand');
}

function useText(use: Piece['use']): string {
  return {
    framed: 'in a frame',
    handled: 'on things that are handled',
    worn: 'on things that are worn',
    washed: 'in the wash',
    patch: 'on a patch',
    ornament: 'on an ornament',
    whitework: 'on whitework',
  }[use];
}
