import { middleFound, type MiddleOf, type PlacedShape } from '../drawing/index.ts';
import {
  boxOf,
  fullnessOf,
  reachInside,
  regionArea,
  regionPerimeter,
  simplifyRegion,
  splitByLine,
  type MiddleLine,
  type Polyline,
  segmentsOf,
  placeAt,
  polylineLength,
} from '../geometry/index.ts';
import { TREATMENT } from './thresholds.ts';

/**
 * What an area is like, as a needleworker would say: a disc; a leaf (slender, narrow at foot and tip, even on both sides of its
 * middle line); a petal (rounder, narrow at its foot); a strip (a band, ring or strokes that turn or branch); a bar (a straight
 * band); a block (all but a rectangle); jagged (an outline that goes in and out); or none of these.
 */
export type FormKind = 'disc' | 'leaf' | 'petal' | 'strip' | 'bar' | 'block' | 'jagged' | 'plain';

export interface Form {
  readonly kind: FormKind;
  /** The widest it is across its middle line, and how long that line is with all its branches, mm. */
  readonly widthMm: number;
  readonly lengthMm: number;
  /** How far the middle line turns on its way, degrees: there and back again counts twice. */
  readonly turnDeg: number;
  /** Whether the middle line is more than one strip from end to end: a ring, a letter. */
  readonly branches: boolean;
}

const NONE: Form = { kind: 'plain', widthMm: 0, lengthMm: 0, turnDeg: 0, branches: false };

/** Whether an area is as round as a coin: that has no middle line to speak of. */
export function isDisc({ widest, areaMm2 }: PlacedShape): boolean {
  return widest !== null && Math.PI * widest.r ** 2 >= TREATMENT.discFullness * areaMm2;
}

/** What kind of form an area has. */
export function formOf(placed: PlacedShape, middleOf: MiddleOf = middleFound): Form {
  if (placed.kind !== 'area' || !placed.widest) return NONE;
  const widthMm = 2 * placed.widest.r;
  if (isDisc(placed)) {
    return { kind: 'disc', widthMm, lengthMm: widthMm, turnDeg: 0, branches: false };
  }
  const middle = middleOf(placed);
  if (!middle) return { ...NONE, widthMm, lengthMm: widthMm };
  const lines = middle.branches.length > 0 ? middle.branches : [middle];
  const measures = {
    widthMm,
    lengthMm: lines.reduce((sum, line) => sum + polylineLength(line), 0),
    turnDeg: lines.reduce((sum, line) => sum + turnOf(line), 0),
    branches: middle.branches.length > 0,
  };
  return { kind: kindOf(placed, middle, measures), ...measures };
}

function kindOf(placed: PlacedShape, middle: MiddleLine, form: Omit<Form, 'kind'>): FormKind {
  const { widthMm, lengthMm, turnDeg, branches } = form;
  const { areaMm2 } = placed;
  const { region } = placed.shape;
  const slender = lengthMm / widthMm;
  const fullness = areaMm2 / (lengthMm * widthMm);
  const isBand = slender >= TREATMENT.stripSlenderness && fullness >= TREATMENT.stripFullness;
  if (isBand && (branches || turnDeg >= TREATMENT.stripTurnDeg) && !narrowsBothWays(middle, form)) return 'strip';
  const { corners: sides, straightMm } = outlineOf(placed);
  if (sides <= 2 && !branches && isEven(placed, middle)) {
    const widest = Math.max(...middle.widthsMm);
    const at = (share: number): number => middle.widthsMm[Math.round(share * (middle.widthsMm.length - 1))]! / widest;
    const run = polylineLength(middle);
    const lean = run / widest;
    const full = areaMm2 / (run * widest);
    const { least, most } = TREATMENT.leafFullness;
    const isNarrow = at(0.2) < TREATMENT.leafFoot && at(0.85) < TREATMENT.leafTip;
    const isFlat = straightMm > TREATMENT.flatSide * run;
    const [foot, head] = [at(0.15), at(0.85)].sort((a, b) => a - b);
    const isDrop = foot! < TREATMENT.petalFoot * head! && full < TREATMENT.petalFullness;
    // With one point and a round end it is a petal, however slender; a leaf has two.
    const isPetal = lean >= TREATMENT.petalSlenderness && lean < TREATMENT.stripSlenderness && isDrop;
    if (isPetal && sides < 2) return 'petal';
    const isLean = lean >= TREATMENT.leafSlenderness && isNarrow && !isFlat && turnDeg < 120;
    if (isLean && full > least && full < most && fullnessOf(region) >= TREATMENT.leafBay) return 'leaf';
    if (isPetal) return 'petal';
  }
  const { minX, minY, maxX, maxY } = boxOf(region)!;
  if (isBand && !branches) return 'bar';
  const boxFullness = areaMm2 / ((maxX - minX) * (maxY - minY));
  const isStraight = straightMm >= TREATMENT.straightSide * Math.max(maxX - minX, maxY - minY);
  // Doors and walls with rounded corners or a round head are blocks, too; so are roofs and pots with slanting sides.
  if (boxFullness >= TREATMENT.blockFullness && (sides === 4 || isStraight)) return 'block';
  if (isStraight && (sides === 3 || sides === 4) && fullnessOf(region) > TREATMENT.slantingFullness) return 'block';
  const roundness = regionPerimeter(region) ** 2 / (4 * Math.PI * regionArea(region));
  return roundness >= TREATMENT.jagged ? 'jagged' : 'plain';
}

/** A crescent or a long leaf narrows to both ends: it is no band, however much it turns. */
function narrowsBothWays(
  { widthsMm }: MiddleLine,
  { branches, turnDeg, widthMm, lengthMm }: Omit<Form, 'kind'>,
): boolean {
  if (branches || turnDeg >= 120 || lengthMm / widthMm > 6) return false;
  const at = (share: number): number => widthsMm[Math.round(share * (widthsMm.length - 1))]! / widthMm;
  return at(0.12) < TREATMENT.leafTip && at(0.88) < TREATMENT.leafTip;
}

/** Whether an area is much the same on both sides of its middle line. */
function isEven({ shape, areaMm2 }: PlacedShape, middle: MiddleLine): boolean {
  const { left, right } = splitByLine(simplifyRegion(shape.region, OUTLINE_MM), middle.points);
  return Math.abs(regionArea(left) - regionArea(right)) <= TREATMENT.uneven * areaMm2;
}

/** Outlines are looked at this coarsely for their corners, as a share of their size, and no finer than this, mm. */
const COARSE = 0.02;
const OUTLINE_MM = 0.05;
/** An outline that turns by more than this has a corner there. */
const CORNER_RAD = (50 * Math.PI) / 180;

/** How many corners an outline has, and its longest straight stretch, mm. */
function outlineOf({ shape, areaMm2 }: PlacedShape): { corners: number; straightMm: number } {
  let [count, straightMm] = [0, 0];
  for (const ring of simplifyRegion(shape.region, Math.max(OUTLINE_MM, COARSE * Math.sqrt(areaMm2)))) {
    let [ax, ay] = placeAt(ring, -1);
    for (const [[bx, by], [cx, cy]] of segmentsOf({ points: ring, closed: true })) {
      const turn = Math.atan2(
        (bx - ax) * (cy - by) - (by - ay) * (cx - bx),
        (bx - ax) * (cx - bx) + (by - ay) * (cy - by),
      );
      if (Math.abs(turn) > CORNER_RAD) count++;
      straightMm = Math.max(straightMm, Math.hypot(cx - bx, cy - by));
      [ax, ay] = [bx, by];
    }
  }
  return { corners: count, straightMm };
}

/** How far a line turns, degrees; wobble of a degree or two at each point is none. */
function turnOf({ points, closed }: Polyline): number {
  const count = points.length / 2;
  // Over several points at a time, so that small steps to and fro do not add up.
  const stride = Math.max(1, Math.round(count / 16));
  const headings: number[] = [];
  const last = closed ? count : count - stride;
  for (let i = 0; i < last; i += stride) {
    const j = (i + stride) % count;
    headings.push(Math.atan2(points[2 * j + 1]! - points[2 * i + 1]!, points[2 * j]! - points[2 * i]!));
  }
  // The last few points of an open line only lead out to the outline.
  const kept = closed ? headings : headings.slice(1, -1);
  let turn = 0;
  for (let i = 1; i < kept.length; i++) {
    turn += Math.abs(Math.atan2(Math.sin(kept[i]! - kept[i - 1]!), Math.cos(kept[i]! - kept[i - 1]!)));
  }
  return (turn * 180) / Math.PI;
}

/** The middle of an area along a direction: how long the longest way through its widest place is, mm. */
export function reachAcross({ shape, widest }: PlacedShape, angleDeg: number): number {
  if (!widest) return 0;
  const [dx, dy] = [Math.cos((angleDeg * Math.PI) / 180), -Math.sin((angleDeg * Math.PI) / 180)];
  return (
    reachInside(shape.region, widest.x, widest.y, dx, dy) + reachInside(shape.region, widest.x, widest.y, -dx, -dy)
  );
}
