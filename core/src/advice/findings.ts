import { deltaE, labOf } from '../colour/index.ts';
import {
  clearInHoopMm,
  fitToHoop,
  joinParts,
  nudgeParts,
  onTheGrain,
  outlineToLine,
  pointsOf,
  positionsOf,
  type PlacedShape,
} from '../drawing/index.ts';
import {
  AIR_MM,
  clothOf,
  comesOutInWater,
  leavesHole,
  markOf,
  strandChoices,
  threadKind,
  WARP_LIMIT,
  warpOf,
} from '../materials/index.ts';
import { crushedParts, fadedParts, findPositions, isRaised, orderPositions } from '../order/index.ts';
import { tooClose } from './closeness.ts';
import { colourFindings, colourRemedies } from './colourFindings.ts';
import { rankWays, showsOn } from './ways.ts';
import {
  groupMembers,
  plainPass,
  setGuides,
  setHoop,
  setMark,
  setPasses,
  setPositions,
  setShown,
  type Edit,
  type Part,
  type Pass,
  type Piece,
} from '../piece/index.ts';
import {
  colourName,
  passesAsWorked,
  usesColour,
  type Plan,
  type PlannedPart,
  type PlannedPass,
} from '../plan/index.ts';
import { stitchKind, WIDEST_FIELD_MM2, type StitchId } from '../stitches/index.ts';
import { longestSpan } from './direction.ts';
import type { Figures, Finding, FindingId } from './finding.ts';
import { degreesApart, straightFilling, type Neighbours } from './neighbours.ts';
import { longestFrontRunMm, tightestBendMm } from './measures.ts';
import { coveringStrands } from './proposals.ts';
import { SPAN_LIMIT_MM, THRESHOLDS, WORN_USES } from './thresholds.ts';

/** What can be done about a finding, in one action that can be undone. */
export interface Remedy {
  readonly label: string;
  readonly edit: Edit;
}

/** Everything that a plan gives cause to say, worst first within a part. */
export function findAll(piece: Piece, plan: Plan, neighbours: Neighbours): Finding[] {
  const notes = piece.drawing.notes.map((note): Finding => ({ id: 'not-read', part: null, figures: { note } }));
  const byPart = plan.parts.flatMap((planned) => partFindings(piece, planned));
  return [
    ...hoopFindings(piece, plan),
    ...byPart,
    ...neighbourFindings(plan, neighbours),
    ...closeFindings(plan),
    ...transferFindings(piece, plan),
    ...clothColourFindings(piece, plan),
    ...colourFindings(piece, plan),
    ...notes,
  ];
}

/** Whether the person has said of this finding, with these figures, that they know. */
export function isAccepted(piece: Piece, finding: Finding): boolean {
  const figures = figuresKey(finding);
  return piece.accepted.some(
    (entry) => entry.finding === finding.id && entry.part === finding.part && entry.figures === figures,
  );
}

/** Figures as one text: when they change, an accepted finding is open again. */
export function figuresKey({ figures }: Finding): string {
  return JSON.stringify(figures);
}

/** Stitches that span an area from edge to edge; they are judged by their spans. */
const SATIN_LIKE: ReadonlySet<string> = new Set(['satin', 'satin-surface']);

/** What is smaller than this on the cloth is not even a point of thread, mm. */
const LEAST_PART_MM = 0.5;

function round(value: number): number {
  return Math.round(value * 100) / 100;
}

function hoopFindings(piece: Piece, plan: Plan): Finding[] {
  const { hoop, design } = plan;
  const found: Finding[] = [];
  const offDeg = round(Math.abs(((piece.placement.turnDeg + 45) % 90) - 45));
  if (offDeg > THRESHOLDS.offGrainDeg.least && offDeg < THRESHOLDS.offGrainDeg.most) {
    found.push({ id: 'grain', part: null, figures: { offDeg } });
  }
  if (!hoop || !piece.hoop || !design.circle) return found;
  if (piece.hoop.warp) {
    const share = round(100 * warpOf(piece.hoop.warp));
    const { uprightMm, acrossMm } = piece.hoop.warp;
    if (Math.abs(share) > 100 * WARP_LIMIT)
      found.push({ id: 'warp', part: null, figures: { share, uprightMm, acrossMm } });
  }
  for (const { partId, workedIn, crushedBy } of crushedParts(plan, piece.hoop, piece.positions)) {
    found.push({ id: 'crushed', part: partId, figures: { workedIn, crushedBy } });
  }
  const clearMm = round(hoop.clearMm);
  const wantedMm = Math.min(AIR_MM.least, piece.hoop.airMm);
  if (clearMm < 0) {
    found.unshift({ id: 'outside-hoop', part: null, figures: { overMm: -clearMm, innerMm: hoop.innerMm } });
  } else if (clearMm < wantedMm - 0.05) {
    found.unshift({ id: 'near-ring', part: null, figures: { clearMm, wantedMm } });
  } else found.unshift(...raisedNearRing(piece, plan));
  return found;
}

/** Raised work wants more air than flat work. */
function raisedNearRing(piece: Piece, plan: Plan): Finding[] {
  const raised = plan.parts.filter(isRaised);
  const clearMm = round(
    clearInHoopMm(
      raised.flatMap(({ placed }) => [...pointsOf(placed.shape)]),
      piece.hoop!,
      positionsOf(piece),
    ),
  );
  const wantedMm = Math.min(AIR_MM.raised, piece.hoop!.airMm + AIR_MM.raised - AIR_MM.usual);
  if (raised.length === 0 || clearMm >= wantedMm - 0.05) return [];
  return [{ id: 'near-ring', part: null, figures: { clearMm, wantedMm, raised: 1 } }];
}

/** Lines and edges that come nearer to each other than their thread is wide. */
function closeFindings(plan: Plan): Finding[] {
  return tooClose(plan).map(({ a, b, gap, laidMm }) => ({
    id: 'line-too-close',
    part: a.part.id,
    figures: { other: b.part.name, otherId: b.part.id, gapMm: round(gap.mm), laidMm: round(laidMm) },
  }));
}

/** What speaks against the way of marking that is chosen. */
function transferFindings(piece: Piece, plan: Plan): Finding[] {
  const mark = markOf(piece.mark)!;
  const cloth = clothOf(piece.cloth.kind)!;
  const found: Finding[] = [];
  const worked = plan.parts.some(({ passes }) => passes.length > 0);
  if (!worked) return [];
  if (!showsOn(mark, cloth, piece.cloth.colour)) {
    found.push({
      id: "can't-trace",
      part: null,
      figures: { mark: mark.name, cloth: cloth.name, grams: cloth.weightGsm },
    });
  }
  const fading = mark.staysDays === null ? undefined : fadedParts(piece, plan, mark.staysDays)[0];
  if (fading) {
    const day = round(fading.day);
    found.push({
      id: 'fades-first',
      part: fading.partId,
      figures: { mark: mark.name, day, staysDays: mark.staysDays! },
    });
  }
  if (comesOutInWater(mark) && cloth.wash === 'no') {
    found.push({ id: 'water-spoils', part: null, figures: { mark: mark.name, cloth: cloth.name } });
  }
  if (mark.heatSets && cloth.wash === 'no' && cloth.iron !== 'no') {
    found.push({ id: 'heat-sets', part: null, figures: { mark: mark.name, cloth: cloth.name } });
  }
  return found;
}

function partFindings(piece: Piece, planned: PlannedPart): Finding[] {
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
    const widestMm = round((placed.widest?.r ?? 0) * 2);
    const wantedMm = round(THRESHOLDS.leastWidths * laidMm);
    return widestMm < wantedMm ? [['part-too-small', { widestMm, wantedMm }]] : [];
  }
  if (kind.worksOn !== 'line') return [];
  const found: Found[] = [];
  const stitchMm = Number(params['stitchMm'] ?? 0);
  if (placed.lengthMm < 2 * laidMm || placed.lengthMm < stitchMm * 0.8) {
    found.push(['part-too-small', { lengthMm: round(placed.lengthMm), wantedMm: round(2 * stitchMm) }]);
  }
  const radiusMm = round(tightestBendMm(placed));
  const drawableMm = round(THRESHOLDS.drawableRadiusWidths * laidMm);
  if (radiusMm < drawableMm) found.push(['too-many-strands', { radiusMm, laidMm: round(laidMm) }]);
  return found;
}

function coverFindings(piece: Piece, placed: PlacedShape, pass: PlannedPass): Found[] {
  const kind = stitchKind(pass.stitch);
  const found: Found[] = [];
  // What lies under the filling or over it is not judged by the cloth between its threads.
  if (pass.role !== 'filling') return found;
  const mark = markOf(piece.mark)!;
  const coverMm = round(kind.coverWidths * pass.laidMm);
  if (kind.worksOn === 'line' && placed.kind === 'line' && coverMm < mark.lineMm) {
    found.push(['line-not-covered', { coverMm, markMm: mark.lineMm, strands: pass.strands }]);
  }
  const spacingMm = pass.params['spacingMm'];
  if (typeof spacingMm === 'number' && spacingMm > pass.laidMm * THRESHOLDS.openWidths) {
    found.push(['cloth-shows', { spacingMm: round(spacingMm), laidMm: round(pass.laidMm) }]);
  }
  if (SATIN_LIKE.has(pass.stitch)) {
    const spanMm = round(longestFrontRunMm(pass));
    const limitMm = SPAN_LIMIT_MM[piece.use];
    if (spanMm > limitMm) found.push(['span-too-long', { spanMm, limitMm }]);
    if (spanMm < THRESHOLDS.shortestSatinMm && placed.areaMm2 > 0) {
      found.push(['span-too-short', { spanMm, leastMm: THRESHOLDS.shortestSatinMm }]);
    }
  }
  return found;
}

function useFindings(piece: Piece, pass: PlannedPass): Found[] {
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

/** Touching areas in near-equal colours whose stitches lie nearly the same way. */
function neighbourFindings({ parts }: Plan, neighbours: Neighbours): Finding[] {
  const seenFilling = ({ passes }: PlannedPart): PlannedPass | undefined =>
    passes.some(({ role }) => role === 'outline') ? undefined : straightFilling(passes);
  return parts.flatMap((one, i): Finding[] => {
    const filling = seenFilling(one);
    if (!filling) return [];
    for (const j of neighbours.alikeBefore(i)) {
      const other = seenFilling(parts[j]!);
      const apartDeg = other ? round(degreesApart(filling.angleDeg, other.angleDeg)) : Infinity;
      if (apartDeg >= THRESHOLDS.leastTurnDeg) continue;
      return [{ id: 'direction-vanishes', part: one.part.id, figures: { other: parts[j]!.part.name, apartDeg } }];
    }
    return [];
  });
}

/** More shades than the width can show, and strokes that lie wholly outside what they shall direct. */
function fieldFindings(placed: PlacedShape, pass: PlannedPass): Found[] {
  const found: Found[] = [];
  if (pass.shades.length > 1) {
    const spanMm = round(
      pass.direction === 'straight' ? longestSpan(placed.shape.region, pass.angleDeg) : (placed.widest?.r ?? 0) * 4,
    );
    const room = Math.max(1, Math.floor(spanMm / THRESHOLDS.shadeRowMm));
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

function clothColourFindings(piece: Piece, plan: Plan): Finding[] {
  const cloth = labOf(piece.cloth.colour);
  if (piece.use === 'whitework') return [];
  return piece.palette.flatMap((colour): Finding[] => {
    const worked = plan.parts.find((planned) => usesColour(planned, colour.id));
    const { name, hex } = colourName(colour);
    const difference = round(deltaE(cloth, labOf(hex)));
    if (!worked || difference >= THRESHOLDS.lostInCloth) return [];
    return [{ id: 'lost-in-cloth', part: worked.part.id, figures: { colour: name, difference } }];
  });
}

/** What can be done about a finding, computed for the piece as it is. */
export function remediesFor(piece: Piece, plan: Plan, finding: Finding): Remedy[] {
  const planned = plan.parts.find(({ part }) => part.id === finding.part);
  const offers: [label: string, edit: Edit | null][] = [];
  if (finding.id === 'grain') {
    offers.push(['Turn it to the grain', setHoop(piece, piece.hoop, onTheGrain(piece.placement), 'Turn to the grain')]);
  }
  if (finding.id === 'crushed' && piece.hoop) {
    const better = orderPositions(plan, piece.hoop, piece.positions);
    if (crushedParts(plan, piece.hoop, better).length < crushedParts(plan, piece.hoop, piece.positions).length) {
      offers.push(['Move the hoop in another order', setPositions(piece, better, 'Order the hoop positions')]);
    }
  }
  if (finding.id === 'outside-hoop' && piece.hoop) {
    const found = findPositions(plan, piece.hoop);
    if (found && found.length > 1) {
      offers.push([`Work it in ${found.length} hoop positions`, setPositions(piece, found, 'Find hoop positions')]);
    }
  }
  if (["can't-trace", 'fades-first', 'water-spoils', 'heat-sets'].includes(finding.id)) {
    const [best] = rankWays(piece, plan);
    if (best && best.mark.id !== piece.mark) {
      offers.push([`Mark with: ${best.mark.name.toLowerCase()}`, setMark(piece, best.mark.id)]);
    }
  }
  if (finding.id === 'too-alike' || finding.id === 'lots-mixed') offers.push(...colourRemedies(piece, plan, finding));
  if ((finding.id === 'outside-hoop' || finding.id === 'near-ring') && piece.hoop && plan.design.circle) {
    const wanted = finding.figures['raised'] ? AIR_MM.raised : AIR_MM.usual;
    const hoop = { ...piece.hoop, airMm: Math.max(piece.hoop.airMm, wanted) };
    const placement = fitToHoop(piece, hoop);
    offers.push([`Fit it with ${hoop.airMm} mm of air`, setHoop(piece, hoop, placement, 'Fit to the hoop')]);
  }
  if (planned) {
    const switchTo = (stitch: StitchId): Edit | null => {
      const toPass = ({ thread, strands }: Pass): Pass => {
        const isLine = stitchKind(stitch).worksOn === 'line' && thread === 'stranded-cotton';
        const enough = isLine ? coveringStrands(stitch, strands, markOf(piece.mark)!.lineMm) : strands;
        return plainPass(stitch, thread, Math.max(strands, enough));
      };
      return changePasses(piece, plan, planned.part, toPass, `Work in ${stitchKind(stitch).name.toLowerCase()}`);
    };
    const withStrands = (by: 1 | -1): Edit | null => {
      const filling = planned.passes.find(({ role }) => role === 'filling');
      if (!filling || nextStrands(filling, by) === null) return null;
      const change = (pass: Pass): Pass => ({ ...pass, strands: nextStrands(pass, by) ?? pass.strands });
      return changePasses(piece, plan, planned.part, change, by > 0 ? 'Add a strand' : 'Take a strand out');
    };
    if (finding.id === 'span-too-long' || finding.id === 'span-too-short') {
      offers.push(['Fill with split stitch', switchTo('split-fill')]);
    }
    if (finding.id === 'line-not-covered') offers.push(['Add a strand', withStrands(1)]);
    if (finding.id === 'too-many-strands' || finding.id === 'part-too-small') {
      offers.push(['Take a strand out', withStrands(-1)]);
    }
    if (finding.id === 'part-too-small' && planned.part.kind === 'area') {
      offers.push(['Work its outline as a line', outlineToLine(piece, [planned.part.id])]);
    }
    if (finding.id === 'part-too-small' || finding.id === 'line-too-close') {
      offers.push(['Leave it out', setShown(piece, [planned.part.id], false)]);
    }
    if (finding.id === 'line-too-close') {
      const { otherId, gapMm, laidMm } = finding.figures;
      const close = tooClose(plan).find(({ a, b }) => a.part.id === planned.part.id && b.part.id === otherId);
      if (close) {
        const apart = Number(laidMm) - Number(gapMm) + APART_MM;
        const [dx, dy] = [close.gap.from[0] - close.gap.to[0], close.gap.from[1] - close.gap.to[1]];
        const share = apart / Math.max(1e-6, Math.hypot(dx, dy));
        offers.push([
          `Move it ${Math.ceil(apart * 10) / 10} mm away`,
          nudgeParts(piece, [planned.part.id], dx * share, dy * share),
        ]);
      }
      offers.push(['Join the two', joinParts(piece, [String(otherId), planned.part.id])]);
      offers.push(['Take a strand out', withStrands(-1)]);
    }
    if (finding.id === 'cloth-shows') {
      const close = (pass: Pass): Pass => ({ ...pass, params: without(pass.params, 'spacingMm') });
      offers.push(['Let neighbours touch', changePasses(piece, plan, planned.part, close, 'Close the rows')]);
    }
    if (finding.id === 'direction-vanishes') {
      const turn = (pass: Pass): Pass =>
        pass.role === 'filling' ? { ...pass, angleDeg: ((pass.angleDeg ?? 0) + STANDS_OUT_DEG) % 180 } : pass;
      const turned = passesAsWorked(planned).map(turn);
      offers.push(['Turn its stitches', setPasses(piece, new Map([[planned.part.id, turned]]), 'Turn the stitches')]);
    }
    if (finding.id === 'too-many-shades') {
      const room = Number(finding.figures['room']);
      const fewer = (pass: Pass): Pass => ({ ...pass, shades: room < 2 ? [] : pass.shades.slice(0, room) });
      offers.push(['Work in fewer shades', changePasses(piece, plan, planned.part, fewer, 'Work in fewer shades')]);
    }
    if (finding.id === 'too-large-for-direction') {
      const straight = (pass: Pass): Pass => ({ ...pass, direction: 'straight', points: [] });
      offers.push(['Lay them straight', changePasses(piece, plan, planned.part, straight, 'Lay stitches straight')]);
    }
    if (finding.id === 'guide-outside') {
      offers.push(['Remove the strokes', setGuides(piece, [planned.part.id], [], 'Remove the direction strokes')]);
    }
    if (finding.id === 'snags' && planned.placed.kind === 'line')
      offers.push(['Work in back stitch', switchTo('back')]);
  }
  return offers.flatMap(([label, edit]) => (edit ? [{ label, edit }] : []));
}

/** Moved apart, parts leave this much of the cloth to be seen, mm. */
const APART_MM = 0.1;

/** Turned by this much, stitches stand out from any neighbour that they lay like, degrees. */
const STANDS_OUT_DEG = 50;

function without(params: Pass['params'], key: string): Pass['params'] {
  return Object.fromEntries(Object.entries(params).filter(([name]) => name !== key));
}

/** The same change of the filling for a part and its group, each from its own passes: like parts may be turned. */
function changePasses(piece: Piece, plan: Plan, part: Part, change: (pass: Pass) => Pass, label: string): Edit | null {
  const members = new Set(groupMembers(piece, part).map(({ id }) => id));
  const changed = plan.parts
    .filter((planned) => members.has(planned.part.id))
    .map((planned) => {
      const passes = passesAsWorked(planned).map((pass) => (pass.role === 'filling' ? change(pass) : pass));
      return [planned.part.id, passes] as const;
    });
  return setPasses(piece, new Map(changed), label);
}

/** The next strand count that a thread can give, up or down; null where there is none. */
function nextStrands({ thread, strands }: { thread: string; strands: number }, by: 1 | -1): number | null {
  const choices = strandChoices(threadKind(thread)!);
  return choices[choices.indexOf(strands) + by] ?? null;
}
