import { drawnStroke, isShortLine, isSmallRound } from '../propose/index.ts';
import { axisOf, veinLineOf, type PlacedShape } from '../drawing/index.ts';
import {
  ringArea,
  guidedField,
  lengthsOf,
  mapPoints,
  parallelLine,
  placeOn,
  radialField,
  type MiddleLine,
  type Polyline,
} from '../geometry/index.ts';
import type { Pass, PassRole } from '../piece/index.ts';
import { outlineRun, outlinesOfRegion, roundTheOtherWay, setIn } from './outlineRun.ts';
import {
  stitchKind,
  type StitchContext,
  type StitchId,
  type StitchShape,
  WIDEST_FIELD_MM2,
} from '../stitches/index.ts';

/** What lies below a pass in its part. */
export interface Below {
  /** How far padding below is set in from the outline, mm: the next layer goes further in. */
  readonly insetMm: number;
  /** How high the layers below stand, mm: padding alone, and all of them. */
  readonly paddingMm: number;
  readonly allMm: number;
  /** How far inside the outline an edge is worked, mm; null: as far as its thread is covered. */
  readonly edgeInsetMm: number | null;
}

export const NOTHING_BELOW: Below = { insetMm: 0, paddingMm: 0, allMm: 0, edgeInsetMm: null };

/** How high the ground is that a pass lies on. Lines round an area lie beside what fills it. */
export function liftOf(role: PassRole, { paddingMm, allMm }: Below): number {
  if (role === 'vein' || role === 'accent') return allMm;
  return role === 'filling' || role === 'padding' ? paddingMm : 0;
}

/** How far inside the outline the next layer of padding lies: half the width of its stitch inside the last one. */
export function paddingInsetMm(below: Below, stitch: StitchId, laidMm: number): number {
  const last = below.insetMm === 0 ? laidMm / 2 : below.insetMm;
  return last + (Math.max(1, stitchKind(stitch).coverWidths) * laidMm) / 2;
}

const NO_SPOTS = new Float64Array(0);
/** A firm edge lies so far inside the outline that what is worked over it covers it, in laid widths. */
const EDGE_INSIDE = 0.6;

/** What of a part a pass is worked on. */
export function shapeOfPass(
  placed: PlacedShape,
  pass: Pass,
  laidMm: number,
  below: Below,
  middle: MiddleLine | null,
): StitchShape {
  const { shape } = placed;
  const lines = (drawn: readonly Polyline[]): StitchShape => ({ region: [], lines: drawn, spots: NO_SPOTS });
  switch (pass.role) {
    case 'accent':
      return { region: [], lines: [], spots: mapPoints(placed.toCloth, Float64Array.from(pass.points.flat())) };
    case 'padding':
      return placed.kind === 'area'
        ? { ...shape, region: setIn(shape.region, paddingInsetMm(below, pass.stitch, laidMm)) }
        : shape;
    case 'edge':
      return lines(outlinesOfRegion(setIn(shape.region, below.edgeInsetMm ?? EDGE_INSIDE * laidMm)));
    case 'outline':
      return lines(outlineRun(placed, pass));
    case 'beside':
      return lines(
        shape.lines.map((line) => parallelLine(line, pass.insetMm)).filter(({ points }) => points.length > 2),
      );
    case 'vein': {
      const vein = veinLineOf(placed, () => middle);
      return lines(vein ? [{ points: vein.points, closed: false }] : []);
    }
    case 'filling': {
      if (placed.kind === 'line' && stitchKind(pass.stitch).worksOn === 'line')
        return { ...shape, lines: shape.lines.map(insideToTheLeft) };
      if (stitchKind(pass.stitch).worksOn !== 'spot') return shape;
      if (isShortLine(placed, pass.stitch)) return spotOn(placed, pass);
      if (!isSmallRound(placed)) return shape;
      return { region: [], lines: [], spots: Float64Array.of(placed.widest!.x, placed.widest!.y) };
    }
  }
}

/** What goes round is worked with its inside to the left, whichever way it was drawn; an open line as it was drawn. */
function insideToTheLeft(line: Polyline): Polyline {
  return line.closed && ringArea(line.points) > 0 ? { points: roundTheOtherWay(line.points), closed: true } : line;
}

/**
 * Where one stitch stands for a short line. A loop begins where the line does, the arms of a fly stitch meet on it; everything else has its middle
 * where the line has it.
 */
function spotOn(placed: PlacedShape, { stitch, params, angleDeg }: Pass): StitchShape {
  const stroke = drawnStroke(placed);
  if (!stroke) {
    const { points } = placed.shape.lines[0]!;
    const lengths = lengthsOf(points);
    return { region: [], lines: [], spots: Float64Array.from(placeOn(points, lengths, lengths.at(-1)! / 2)) };
  }
  const { from, lengthMm } = stroke;
  const mm = (key: string, usual: number): number => (typeof params[key] === 'number' ? params[key] : usual);
  const fromFoot: Readonly<Partial<Record<StitchId, number>>> = {
    'detached-chain': mm('lengthMm', lengthMm) / 2,
    fly: mm('depthMm', lengthMm / 2),
  };
  const foot = fromFoot[stitch];
  const lies = ((foot === undefined ? stroke.angleDeg : (angleDeg ?? stroke.angleDeg)) * Math.PI) / 180;
  const at = foot ?? lengthMm / 2;
  return {
    region: [],
    lines: [],
    spots: Float64Array.of(from[0] + Math.cos(lies) * at, from[1] - Math.sin(lies) * at),
  };
}

/** Whether the stitches of a pass turn from place to place. */
function hasField({ kind, areaMm2 }: PlacedShape, { role, direction }: Pass): boolean {
  const isArea = kind === 'area' && (role === 'filling' || role === 'padding');
  return isArea && direction !== 'straight' && areaMm2 <= WIDEST_FIELD_MM2;
}

/** Whether a pass follows the middle line of its area as it is found. */
export function needsMiddle(placed: PlacedShape, pass: Pass): boolean {
  if (placed.vein) return false;
  return (
    pass.role === 'vein' || (hasField(placed, pass) && (pass.direction === 'along' || pass.direction === 'across'))
  );
}

/** Which way the stitches of a pass lie, from place to place. */
export function directionOf(
  placed: PlacedShape,
  pass: Pass,
  angleDeg: number,
  middle: MiddleLine | null,
): Pick<StitchContext, 'angleRad' | 'field' | 'followsOutline' | 'outline'> {
  const angleRad = (angleDeg * Math.PI) / 180;
  if (!hasField(placed, pass)) return { angleRad };
  const { region } = placed.shape;
  if (pass.direction === 'outline') return { angleRad, followsOutline: true, outline: placed.whole?.shape.region };
  if (pass.direction === 'radial') {
    const [x, y] = centreOf(placed, pass);
    return { angleRad, field: radialField(x, y) };
  }
  const guides = pass.direction === 'guides' ? placed.guides : axisOf(placed, () => middle);
  if (guides.length === 0) return { angleRad };
  return { angleRad, field: guidedField(guides, region, pass.direction === 'across' ? Math.PI / 2 : 0) };
}

/** The point of a radial direction: as given, or the widest place. */
function centreOf(placed: PlacedShape, pass: Pass): [x: number, y: number] {
  const [given] = pass.points;
  if (!given) return [placed.widest?.x ?? 0, placed.widest?.y ?? 0];
  const [x, y] = mapPoints(placed.toCloth, Float64Array.from(given));
  return [x!, y!];
}
