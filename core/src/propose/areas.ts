import type { MiddleOf, PlacedShape } from '../drawing/index.ts';
import { equalCircleMm } from '../geometry/index.ts';
import { DEFAULT_THREAD, bundleDiameterMm, threadKind, wrappingNeedle } from '../materials/index.ts';
import { formatFine, formatNumber } from '../measure/index.ts';
import { knotDiameterMm } from '../stitches/index.ts';
import { satinDirection } from './direction.ts';
import type { Sense } from './drawingSense.ts';
import { formOf, reachAcross, type Form } from './forms.ts';
import { withEdge, withVein } from './layers.ts';
import { isSmallRound } from './roles.ts';
import type { SettledPass } from './settled.ts';
import { SPAN_LIMIT_MM, TREATMENT, WORN_USES } from './thresholds.ts';
import {
  alone,
  bySchool,
  layer,
  SHARES,
  strandText,
  useText,
  type Proposal,
  type ProposalSettings,
} from './treatment.ts';
import * as say from './words.ts';

/** What the ways to work an area are chosen by. */
interface Case {
  readonly placed: PlacedShape;
  readonly form: Form;
  readonly sense: Sense;
  readonly settings: ProposalSettings;
  readonly strands: number;
  /** The shortest spans that satin can have, their direction and the limit for the use. */
  readonly spanMm: number;
  readonly spanDeg: number;
  readonly limitMm: number;
  readonly isWorn: boolean;
}

/** The ways to work an area, best first. */
export function areaProposals(
  placed: PlacedShape,
  sense: Sense,
  settings: ProposalSettings,
  middleOf: MiddleOf,
): Proposal[] {
  const form = formOf(placed, middleOf);
  const direction = satinDirection(placed);
  const usual = placed.meanWidthMm < TREATMENT.narrowMm ? 1 : placed.areaMm2 > TREATMENT.largeMm2 ? 3 : 2;
  const given: Case = {
    placed,
    form,
    sense,
    settings,
    strands: bySchool(usual, settings.strands),
    spanMm: direction.spanMm,
    spanDeg: direction.angleDeg,
    limitMm: SPAN_LIMIT_MM[settings.use],
    isWorn: WORN_USES.has(settings.use),
  };
  return different([...byForm(given), ...rowsFor(given), satinFor(given), ...softFor(given)]).slice(0, 4);
}

/** The first of each stitch and direction. */
function different(offers: readonly Proposal[]): Proposal[] {
  const seen = new Set<string>();
  return offers.filter(({ pass: { stitch, direction } }) => {
    const key = `${stitch} ${direction}`;
    return seen.has(key) ? false : seen.add(key);
  });
}

function byForm(given: Case): Proposal[] {
  const { placed, form, sense, spanMm } = given;
  if (isSmallRound(placed)) return spotAreas(given);
  if (sense.isGround) return grounds(given);
  if (form.kind === 'disc') return discs(given);
  if (form.kind === 'strip') return strips(given);
  if (spanMm < TREATMENT.shortestSatinMm) return narrow(given);
  // What is left of a disc behind something, or hair on a head, looks like a leaf, and is none: it has no vein.
  if (form.kind === 'leaf' && (placed.behind.length > 0 || sense.isUpon))
    return [satinOrRows(given), ...rowsFor(given)];
  if (form.kind === 'leaf' && form.widthMm <= TREATMENT.widestLeafMm) return leaves(given);
  if (form.kind === 'petal' || sense.centre) return petals(given);
  if (isEasySpan(given, spanMm)) return [satinFor(given)];
  return broad(given);
}

/** Whether satin of these spans is both allowed and at its best. A limit of looks has some play; what would snag has none. */
function isEasySpan({ limitMm, isWorn }: Case, mm: number): boolean {
  const easy = isWorn ? TREATMENT.wornSatinMm : TREATMENT.easySatinMm;
  return mm >= TREATMENT.shortestSatinMm && mm <= Math.min(limitMm, easy * TREATMENT.play);
}

function satinFor(given: Case): Proposal {
  const { spanMm, spanDeg, limitMm, strands, settings } = given;
  const spans = formatFine(spanMm);
  const why =
    spanMm < TREATMENT.shortestSatinMm
      ? say.veryShort(spans)
      : spanMm <= limitMm
        ? say.satinHolds(spans, spanDeg, limitMm, useText(settings.use))
        : say.satinTooLong(spans, limitMm, useText(settings.use));
  const satin = alone(layer('satin', strands, why, { angleDeg: spanDeg }));
  return spanMm >= TREATMENT.shortestSatinMm && spanMm <= limitMm ? withEdge(satin, given) : satin;
}

const EVEN_ROWS = 'Even rows of split stitch: firmer and flatter.';

/** Rows that follow the form, which hold at any width. */
function rowsFor(given: Case): Proposal[] {
  const { form, strands, spanDeg } = given;
  const isLong = form.lengthMm >= TREATMENT.longForm * form.widthMm || form.branches;
  const direction = isLong ? rowsAlong(given) : 'straight';
  const rows = layer('split-fill', strands, SPLIT_ROWS[direction], { direction, angleDeg: (spanDeg + 90) % 180 });
  const cords = layer('stem-fill', strands, 'Rows of stem stitch following the shape: ropy, and firm in use.', {
    direction: direction === 'straight' ? 'outline' : direction,
  });
  return [alone(rows), alone(cords)];
}

const SPLIT_ROWS = {
  straight: EVEN_ROWS,
  along: 'Rows of split stitch along its middle: firm and flat, following the shape.',
  outline: 'Rows of split stitch round and round: firm and flat, following the shape.',
} as const;

/** Rows along a form follow its middle; round a hole they follow both outlines, and leave no cloth between rows where it widens. */
function rowsAlong({ placed }: Case): 'along' | 'outline' {
  return placed.shape.region.length > 1 ? 'outline' : 'along';
}

/** Blended or light work, where there is room for it. */
function softFor({ placed, spanMm, isWorn, strands, form }: Case): Proposal[] {
  if (spanMm >= TREATMENT.leastShadedMm && !isWorn) return [longShort(form, formatFine(spanMm))];
  return placed.areaMm2 >= TREATMENT.leastSeededMm2
    ? [alone(layer('seed', strands, 'A light scatter: little thread, and the cloth stays in view.'))]
    : [];
}

function longShort({ lengthMm, widthMm }: Form, wide: string, more: Partial<SettledPass> = {}): Proposal {
  const isLong = lengthMm >= TREATMENT.longForm * widthMm;
  const way = more.direction ?? (isLong ? 'along' : 'straight');
  const why = say.longShort[way === 'along' || way === 'radial' ? way : 'straight'](wide);
  return alone(layer('long-short', 1, why, { direction: way, ...more }));
}

/** A spot: as many knots as leave none of it bare, or satin. */
function spotAreas(given: Case): Proposal[] {
  const { placed, settings } = given;
  const acrossMm = equalCircleMm(placed.areaMm2);
  const text = formatFine(acrossMm);
  const { strands: best, mm } = knotOf(acrossMm);
  const flat = { ...satinFor(given), reason: say.flatDisc(text) };
  const several = knotFilling(settings, say.severalKnots(text));
  if (mm < TREATMENT.knotFills * acrossMm) return [flat, alone(several)];
  const one = layer(settings.knots, best, say.oneKnot(text, strandText(best), formatFine(mm)));
  return [alone(one), flat, alone(several)];
}

/** Packed with the knots of the person's school. */
function knotFilling({ knots }: ProposalSettings, why: string): SettledPass {
  return layer(knots === 'french' ? 'french-fill' : 'colonial-fill', 2, why);
}

/** The knot of two wraps that comes nearest to a size. */
function knotOf(acrossMm: number): { strands: number; mm: number } {
  const kind = threadKind(DEFAULT_THREAD);
  const sizes = SHARES.map((strands) => ({
    strands,
    mm: knotDiameterMm(2, bundleDiameterMm(kind, strands), wrappingNeedle(kind, strands).shaftMm),
  }));
  return sizes.reduce((a, b) => (Math.abs(b.mm - acrossMm) < Math.abs(a.mm - acrossMm) ? b : a));
}

/** Berries and moons stand up; larger discs are worked round and round. */
function discs(given: Case): Proposal[] {
  const { form, isWorn, strands, settings } = given;
  const across = formatFine(form.widthMm);
  if (isEasySpan(given, form.widthMm)) {
    if (form.widthMm < TREATMENT.leastPaddedDiscMm) return [satinFor(given)];
    const padded = layer('satin-padded', strands, say.paddedDisc(across), {
      angleDeg: given.spanDeg,
      params: { layers: settings.layers === 'rich' ? 3 : 1 },
    });
    const flat = satinFor(given);
    return isWorn || settings.layers === 'plain' ? [flat, alone(padded)] : [alone(padded), flat];
  }
  const round = (stitch: 'chain-fill' | 'stem-fill', why: string): Proposal =>
    alone(layer(stitch, strands, why, { direction: 'outline' }));
  const chain = round('chain-fill', say.chainDisc(across));
  const cord = round('stem-fill', say.stemRound(across));
  return byArea(given, cord, chain);
}

/** Cords up to a size, above that rows that go faster; on worn things smooth rows between the two. */
function byArea(given: Case, cord: Proposal, chain: Proposal): Proposal[] {
  const { areaMm2 } = given.placed;
  if (areaMm2 > TREATMENT.quickRowsMm2) return [chain, cord];
  if (given.isWorn && areaMm2 > TREATMENT.wornRoundsMm2) return [rowsFor(given)[0]!, cord, chain];
  return [cord, chain];
}

/** Bands that turn, rings and strokes: satin across them, or rows along. */
function strips(given: Case): Proposal[] {
  const { form, strands, limitMm, settings, isWorn } = given;
  const width = formatFine(form.widthMm);
  const band = { turnDeg: form.branches ? null : form.turnDeg, width };
  const along = layer('stem-fill', strands, say.bandInStem(band), {
    direction: rowsAlong(given),
  });
  if (form.widthMm < TREATMENT.shortestSatinMm) {
    const split = layer('split-fill', Math.min(strands, 2), say.narrowSplit(width), {
      direction: rowsAlong(given),
    });
    return [alone(split), alone(along)];
  }
  const why = say.bandInSatin(band, limitMm, useText(settings.use));
  const across = withEdge(alone(layer('satin', strands, why, { direction: 'across' })), given);
  if (isEasySpan(given, form.widthMm)) return [across, alone(along)];
  const chain = layer('chain-fill', strands, say.bandInChain(band), {
    direction: rowsAlong(given),
  });
  const rows = byArea(given, alone(along), alone(chain));
  if (isWorn || form.widthMm > 2 * Math.min(limitMm, TREATMENT.easySatinMm)) return rows;
  const tied = layer('romanian', strands, say.bandTied(band, formatFine(form.widthMm / 2)), {
    direction: 'across',
  });
  return [rows[0]!, alone(tied)];
}

/** Slivers take lines, not spans. */
function narrow(given: Case): Proposal[] {
  const { strands, form, spanMm } = given;
  const width = formatFine(spanMm);
  const wanted = formatFine(TREATMENT.shortestSatinMm);
  const way = form.lengthMm > 0 ? rowsAlong(given) : 'outline';
  const stem = layer('stem-fill', strands, say.narrowForSatin(width, wanted), { direction: way });
  const split = layer('split-fill', strands, say.narrowSplit(width), { direction: way });
  return form.lengthMm >= 4 * form.widthMm ? [alone(stem), alone(split)] : [alone(split), alone(stem)];
}

/** Leaves: closed flies on slender ones, slanting halves on others, rows where the halves are too long. */
function leaves(given: Case): Proposal[] {
  const { form, strands, limitMm } = given;
  const width = formatFine(form.widthMm);
  const halves = withVein(
    alone(layer('satin-leaf', strands, say.satinLeaf(width, formatFine((form.widthMm / 2) * Math.SQRT2)))),
    given,
  );
  const fly = alone(layer('fly-leaf', strands, say.flyLeaf(width), flyAngle(form.widthMm, limitMm)));
  const isWithin = (form.widthMm / 2) * Math.SQRT2 <= limitMm && form.widthMm >= 1.5 * TREATMENT.shortestSatinMm;
  const canFly = form.widthMm <= TREATMENT.widestFlyLeafMm;
  const isSlender = form.lengthMm >= TREATMENT.slenderLeaf * form.widthMm && form.widthMm <= TREATMENT.slenderLeafMm;
  if (isSlender && canFly) return [fly, ...(isWithin ? [halves] : [])];
  if (isWithin) return [halves, ...(canFly ? [fly] : [])];
  const [rows, cords] = rowsFor(given);
  return [withVein(rows!, given), cords!, ...(canFly ? [fly] : [])];
}

/** Flies are steep; where their arms would be longer than a span may be, as much less steep as it takes. */
function flyAngle(widthMm: number, limitMm: number): Pick<SettledPass, 'params'> {
  const neededDeg = Math.ceil((Math.asin(Math.min(1, widthMm / 2 / limitMm)) * 180) / Math.PI);
  return { params: neededDeg > TREATMENT.steepFlyDeg ? { angleDeg: neededDeg } : {} };
}

/** Petals run to the middle of their flower, or along themselves. */
function petals(given: Case): Proposal[] {
  const { placed, form, sense, strands, settings } = given;
  const toMiddle: Partial<SettledPass> = sense.centre
    ? { direction: 'radial', points: [[sense.centre[0], sense.centre[1]]] }
    : { direction: 'along' };
  const axisDeg = axisAngle(given);
  const lengthMm = Math.max(form.lengthMm, reachAcross(placed, axisDeg));
  const text = formatFine(lengthMm);
  const soft = longShort(form, formatFine(form.widthMm), toMiddle);
  if (!isEasySpan(given, lengthMm)) {
    if (!sense.centre || isEasySpan(given, given.spanMm)) return [satinOrRows(given), soft];
    const rows = alone(
      layer('split-fill', strands, 'Rows of split stitch that run to the middle of the flower.', toMiddle),
    );
    return [rows, soft];
  }
  const satin = layer('satin', strands, say.petal(text, sense.centre !== null, given.limitMm, useText(settings.use)), {
    ...(sense.centre ? toMiddle : { angleDeg: axisDeg }),
  });
  return [withEdge(alone(satin), given), soft];
}

/** A side that slants by up to this is upright or level to a builder, degrees. */
const MOST_SLANT_DEG = 15;

/** Which way an area is longest, degrees. */
function axisAngle({ spanDeg }: Case): number {
  return (spanDeg + 90) % 180;
}

function satinOrRows(given: Case): Proposal {
  return isEasySpan(given, given.spanMm) ? satinFor(given) : rowsFor(given)[0]!;
}

/** Grounds behind everything: as little thread as does it. */
function grounds(given: Case): Proposal[] {
  const { placed, form, isWorn } = given;
  const cm2 = formatNumber(placed.areaMm2 / 100);
  const seed = layer('seed', 2, say.background(cm2));
  const rows = layer('running-fill', 2, say.runningRows(cm2), { angleDeg: 0 });
  const isBuilt = form.kind === 'block' || form.kind === 'bar';
  const lattice = layer('lattice-fill', 2, say.latticeBackground(cm2), { angleDeg: 45 });
  if (isBuilt && !isWorn) return [alone(rows), alone(seed), alone(lattice)];
  // What is worn and washed has no long threads lying free, and no loose scatter.
  return isWorn ? [alone(rows), alone(seed)] : [alone(seed), alone(rows)];
}

/** The directions of a wall are level and upright, also where its sides slant. */
function builtDeg(deg: number): number {
  const quarter = Math.round(deg / 90) * 90;
  return Math.abs(deg - quarter) <= MOST_SLANT_DEG ? quarter : deg;
}

/** What has straight sides and is too wide for satin: level or upright rows, as a wall has them; tied, in bricks or woven as one likes. */
function straightSided(given: Case, tooLong: string): Proposal[] {
  const { placed, form, strands, isWorn, limitMm, spanDeg, spanMm } = given;
  const text = formatFine(spanMm);
  const brick = alone(
    layer('brick', strands, say.bricks(text, tooLong), {
      angleDeg: spanDeg,
    }),
  );
  const cm2 = formatNumber(placed.areaMm2 / 100, placed.areaMm2 < 1000 ? 1 : 0);
  const levelDeg = ((form.kind === 'block' ? builtDeg(spanDeg) : spanDeg) + 90) % 180;
  const chain = alone(layer('chain-fill', strands, say.chainRows(cm2), { angleDeg: levelDeg }));
  const even =
    form.kind === 'block' ? alone(layer('split-fill', strands, EVEN_ROWS, { angleDeg: levelDeg })) : rowsFor(given)[0]!;
  const rows = placed.areaMm2 > TREATMENT.quickRowsMm2 ? chain : even;
  if (isWorn) return [rows, brick];
  if (form.kind === 'bar') {
    if (spanMm > TREATMENT.tiedBand * Math.min(limitMm, TREATMENT.easySatinMm)) return [rows, brick];
    const tied = layer('romanian', strands, say.straightBandTied(text, formatFine(spanMm / 2)), {
      direction: 'across',
    });
    return [rows, alone(tied), brick];
  }
  const isSquare = spanMm ** 2 * TREATMENT.longForm >= placed.areaMm2;
  if (!isSquare || placed.areaMm2 > TREATMENT.laidMm2) return [rows, brick];
  const woven = layer('woven-fill', strands, say.woven(text, tooLong), { angleDeg: spanDeg });
  return [rows, brick, alone(woven)];
}

/** Areas too wide for satin, by what they are like. */
function broad(given: Case): Proposal[] {
  const { placed, form, spanMm, strands, isWorn, limitMm } = given;
  const text = formatFine(spanMm);
  const tooLong = spanMm > limitMm ? say.overLimit(limitMm, useText(given.settings.use)) : 'long enough to gape';
  const isLong = form.lengthMm >= TREATMENT.longArea * form.widthMm;
  const cm2 = formatNumber(placed.areaMm2 / 100, placed.areaMm2 < 1000 ? 1 : 0);
  if (form.kind === 'block' || form.kind === 'bar') return straightSided(given, tooLong);
  if (isLong) {
    const chain = alone(layer('chain-fill', strands, say.chainAlong(cm2, text), { direction: rowsAlong(given) }));
    return placed.areaMm2 > TREATMENT.quickRowsMm2 ? [chain] : [...rowsFor(given), chain];
  }
  if (form.kind === 'jagged') {
    const why = 'An outline that goes in and out: rows of split stitch follow it.';
    return [alone(layer('split-fill', strands, why, { direction: rowsAlong(given) }))];
  }
  const chain = layer('chain-fill', strands, say.chainRound(cm2), { direction: 'outline' });
  const cord = layer('stem-fill', strands, say.stemRoundArea(cm2), { direction: 'outline' });
  const rows = byArea(given, alone(cord), alone(chain));
  if (isWorn || placed.areaMm2 <= TREATMENT.laidMm2) return rows;
  const laidWork = layer('couched-fill', strands, say.laidWork(cm2), {
    angleDeg: given.spanDeg,
  });
  return [...rows, alone(laidWork)];
}
