import { axisOf, edgesOf, onDrawing, type MiddleOf, type PlacedShape } from '../drawing/index.ts';
import {
  boxesMeet,
  distanceToLines,
  fullnessOf,
  lengthsOf,
  placeOn,
  polylineLength,
  wayRound,
  type Box,
} from '../geometry/index.ts';
import { stage, type Memory } from '../measure/index.ts';
import type { Part } from '../piece/index.ts';
import { tightestBendMm } from './bends.ts';
import type { Neighbours } from './neighbours.ts';
import { TREATMENT } from './thresholds.ts';

/** What a part's treatment depends on besides its own shape: what of the drawing it belongs to. */
export interface Sense {
  /** Where the stitches of its group run to, on the drawing: petals to the middle of their flower; null: nowhere in common. */
  readonly centre: readonly [x: number, y: number] | null;
  /** Whether lines run along most of its outline. */
  readonly isOutlined: boolean;
  /** Whether it stands before others, whose stitches end at its edge. */
  readonly standsBefore: boolean;
  /** Whether it is the ground on which most of the others lie. */
  readonly isGround: boolean;
  /** Whether all of it lies on another area that isn't the ground: a spot on a cap, a patch on a coat. */
  readonly isUpon: boolean;
  /** All lines of its colour and width taken together; null for what is no line. */
  readonly lines: LineSense | null;
}

/** What lines that are worked alike are like. */
export interface LineSense {
  readonly drawnMm: number;
  /** The bend that half of their length keeps to or is wider than, mm radius; Infinity: straight. */
  readonly radiusMm: number;
  readonly lengthMm: number;
  readonly count: number;
}

/**
 * What of a drawing each part belongs to.
 * @param shapes one for each part, from back to front
 */
export function senseOf(
  parts: readonly Part[],
  shapes: readonly PlacedShape[],
  scale: number,
  neighbours: Neighbours,
  middleOf: MiddleOf,
  memory: Memory,
): Sense[] {
  const centres = flowerCentres(parts, shapes, middleOf);
  const lines = lineFamilies(parts, shapes, scale, memory);
  const ground = groundOf(parts, shapes);
  const hides = (i: number, j: number): boolean => shapes[j]!.behind.includes(shapes[i]!.partId);
  return parts.map((part, i) => {
    const meeting = neighbours.meetingBefore(i);
    return {
      centre: (part.group !== null && centres.get(part.group)) || null,
      isOutlined: isOutlined(parts, shapes, i, memory),
      standsBefore: meeting.some((j) => hides(i, j) || neighbours.touch(j, i)),
      isGround: i === ground,
      isUpon: meeting.some(
        (j) => j !== ground && hides(i, j) && isWithin(shapes[i]!.box!, shapes[j]!.box!, TREATMENT.touchingMm),
      ),
      lines: lines.get(lineKey(part)) ?? null,
    };
  });
}

interface AreaInLines {
  readonly area: PlacedShape;
  readonly lines: readonly PlacedShape[];
}

/** An outline is looked at in steps of this, and a line that is no further off lies on it, mm. */
const OUTLINE_STEP_MM = 1;
const ON_OUTLINE_MM = 0.5;
/** Lines that run along this share of an outline bound the area. */
const OUTLINED_SHARE = 0.6;

/** Outlines of other areas show an area where they run along this share of its own. */
const SHOWN_SHARE = 0.85;

/** Which share of an area’s outline lines run along. */
export const OUTLINED = stage<AreaInLines>()('outlined', ['area', 'lines'], ({ area, lines }) => {
  const drawn = lines.flatMap(({ shape }) => edgesOf(shape));
  let [along, all] = [0, 0];
  for (const points of area.shape.region) {
    const way = wayRound(points);
    const lengths = lengthsOf(way);
    const length = lengths.at(-1) ?? 0;
    const looks = Math.max(1, Math.ceil(length / OUTLINE_STEP_MM));
    for (let k = 0; k < looks; k++) {
      const [x, y] = placeOn(way, lengths, ((k + 0.5) / looks) * length);
      if (distanceToLines(drawn, x, y) <= ON_OUTLINE_MM) along += length / looks;
    }
    all += length;
  }
  return all > 0 ? along / all : 0;
});

/**
 * Areas whose edge the outlines of others show where each is only outlined: the largest first, an area needs none of its own where those before it run
 * along most of its edge.
 */
export function shownByOthers(
  parts: readonly Part[],
  shapes: readonly PlacedShape[],
  memory: Memory,
): ReadonlySet<number> {
  const covered = new Set<number>();
  const drawn = shapes.filter(({ kind, box }, i) => kind === 'line' && box && parts[i]!.shown);
  const areas = shapes.flatMap(({ kind, box }, i) => (kind === 'area' && box && parts[i]!.shown ? [i] : []));
  areas.sort((a, b) => shapes[b]!.areaMm2 - shapes[a]!.areaMm2);
  for (const i of areas) {
    const area = shapes[i]!;
    const lines = drawn.filter(({ box }) => boxesMeet(box!, area.box!, ON_OUTLINE_MM));
    const share = lines.length > 0 ? memory.made(OUTLINED, [parts[i]!.id], { area, lines }, 'in outlines') : 0;
    const isShown = share >= SHOWN_SHARE;
    if (isShown) covered.add(i);
    // What lies on it is not outlined by it.
    else drawn.push(area.whole ?? area);
  }
  return covered;
}

function isOutlined(parts: readonly Part[], shapes: readonly PlacedShape[], i: number, memory: Memory): boolean {
  const area = shapes[i]!;
  if (area.kind !== 'area' || !area.box) return false;
  const lines = shapes.filter(
    ({ kind, box }, j) =>
      kind === 'line' &&
      box &&
      parts[j]!.shown &&
      parts[j]!.marking === null &&
      boxesMeet(box, area.box!, ON_OUTLINE_MM),
  );
  return lines.length > 0 && memory.made(OUTLINED, [parts[i]!.id], { area, lines }) >= OUTLINED_SHARE;
}

/** Whether a box lies in another that is wider by a margin all round, mm. */
function isWithin(inner: Box, outer: Box, marginMm: number): boolean {
  return (
    inner.minX > outer.minX - marginMm &&
    inner.maxX < outer.maxX + marginMm &&
    inner.minY > outer.minY - marginMm &&
    inner.maxY < outer.maxY + marginMm
  );
}

/** Fewer petals make no flower. */
const FEWEST_PETALS = 4;
/** Petals lie about as far from their middle as each other, and point to it, within this share and angle. */
const UNEVEN = 0.3;
const ASKEW_RAD = (30 * Math.PI) / 180;

/** The middles to which groups of like areas point, by group. */
function flowerCentres(
  parts: readonly Part[],
  shapes: readonly PlacedShape[],
  middleOf: MiddleOf,
): Map<string, readonly [number, number]> {
  const groups = new Map<string, PlacedShape[]>();
  parts.forEach((part, i) => {
    const placed = shapes[i]!;
    if (part.group === null || placed.kind !== 'area' || !placed.box) return;
    groups.set(part.group, [...(groups.get(part.group) ?? []), placed]);
  });
  const centres = new Map<string, readonly [number, number]>();
  for (const [group, members] of groups) {
    const centre = members.length >= FEWEST_PETALS ? commonCentre(members, middleOf) : null;
    if (centre) centres.set(group, onDrawing(members[0]!.toCloth, ...centre));
  }
  return centres;
}

function commonCentre(members: readonly PlacedShape[], middleOf: MiddleOf): readonly [number, number] | null {
  const middles = members.map(({ box }) => [(box!.minX + box!.maxX) / 2, (box!.minY + box!.maxY) / 2] as const);
  const cx = middles.reduce((sum, [x]) => sum + x, 0) / middles.length;
  const cy = middles.reduce((sum, [, y]) => sum + y, 0) / middles.length;
  const distances = middles.map(([x, y]) => Math.hypot(x - cx, y - cy));
  const mean = distances.reduce((sum, mm) => sum + mm, 0) / distances.length;
  const isRound = mean > 1 && distances.every((mm) => Math.abs(mm - mean) <= UNEVEN * mean);
  if (!isRound) return null;
  const pointing = members.filter((placed, i) => {
    const axis = axisOf(placed, middleOf)[0];
    if (!axis) return false;
    const [x, y] = middles[i]!;
    const way = Math.atan2(axis.points.at(-1)! - axis.points[1]!, axis.points.at(-2)! - axis.points[0]!);
    return Math.abs(Math.sin(way - Math.atan2(cy - y, cx - x))) < Math.sin(ASKEW_RAD);
  });
  return pointing.length >= 0.7 * members.length ? [cx, cy] : null;
}

/** A ground fills this share of the least outline without bays that holds it: a sky or a tile does, a wing or a cactus does not. */
const GROUND_FULLNESS = 0.93;

/**
 * The rearmost area, where it is the largest by far, lies round others and is a plain shape. With two things alike to the left and to the right of its
 * middle it is a face, not a ground.
 */
function groundOf(parts: readonly Part[], shapes: readonly PlacedShape[]): number {
  const first = shapes.findIndex(({ kind, box }) => kind === 'area' && box);
  const placed = shapes[first];
  if (!placed || parts.length < 4 || placed.areaMm2 < TREATMENT.groundMm2) return -1;
  const rest = shapes.filter((other) => other !== placed && other.kind === 'area');
  const largest = rest.every(({ areaMm2 }) => areaMm2 < placed.areaMm2 / 2);
  const within = shapes.filter(({ box }) => box && isWithin(box, placed.box!, 0));
  const liesRoundOthers = largest && within.length >= 0.6 * (parts.length - 1);
  return liesRoundOthers && fullnessOf(placed.shape.region) >= GROUND_FULLNESS && !hasPair(placed, within) ? first : -1;
}

/** Two areas are a pair where size, height and distance from the middle differ by less than this share of the width of what they lie on. */
const PAIR = 0.03;

function hasPair(ground: PlacedShape, within: readonly PlacedShape[]): boolean {
  const { minX, maxX } = ground.box!;
  const [middleX, near] = [(minX + maxX) / 2, PAIR * (maxX - minX)];
  const seen = within
    .filter(({ kind }) => kind !== 'line')
    .map(({ box, areaMm2 }) => ({
      x: (box!.minX + box!.maxX) / 2 - middleX,
      y: (box!.minY + box!.maxY) / 2,
      sizeMm: Math.sqrt(areaMm2),
    }));
  return seen.some(
    (a) =>
      a.x < -near &&
      seen.some(
        (b) => Math.abs(a.x + b.x) < near && Math.abs(a.y - b.y) < near && Math.abs(a.sizeMm - b.sizeMm) < near,
      ),
  );
}

/** Lines whose drawn widths differ by less than this are of one width, as steps of a logarithm. */
const WIDTH_STEP = Math.log(1.35);

/** What lines that are worked alike have in common: colour, width, and whether they are dashed. */
export function lineKey({ kind, colour, strokeMm, dashed }: Part): string {
  if (kind !== 'line') return '';
  const width = strokeMm ? Math.round(Math.log(Math.max(0.05, strokeMm)) / WIDTH_STEP) : 'none';
  return `${colour} ${width} ${dashed}`;
}

interface Bend {
  readonly radiusMm: number;
  readonly lengthMm: number;
}

export const LINE_BENDS = stage<PlacedShape>()('line bends', ['shape'], (placed): Bend => ({
  radiusMm: tightestBendMm(placed),
  lengthMm: placed.shape.lines.reduce((sum, line) => sum + polylineLength(line), 0),
}));

function lineFamilies(
  parts: readonly Part[],
  shapes: readonly PlacedShape[],
  scale: number,
  memory: Memory,
): Map<string, LineSense> {
  const families = new Map<string, { bends: Bend[]; drawn: number[] }>();
  parts.forEach((part, i) => {
    const key = lineKey(part);
    const placed = shapes[i]!;
    if (key === '' || !placed.box) return;
    const family = families.get(key) ?? { bends: [], drawn: [] };
    families.set(key, family);
    family.bends.push(memory.made(LINE_BENDS, [part.id], placed));
    family.drawn.push((part.strokeMm ?? 0) * scale);
  });
  return new Map(
    [...families].map(([key, { bends, drawn }]) => {
      const sorted = [...bends].sort((a, b) => a.radiusMm - b.radiusMm);
      const lengthMm = sorted.reduce((sum, bend) => sum + bend.lengthMm, 0);
      let [so, at] = [0, 0];
      while (at < sorted.length - 1 && so + sorted[at]!.lengthMm < lengthMm / 2) so += sorted[at++]!.lengthMm;
      const drawnMm = [...drawn].sort((a, b) => a - b)[drawn.length >> 1]!;
      return [key, { drawnMm, radiusMm: sorted[at]?.radiusMm ?? Infinity, lengthMm, count: bends.length }];
    }),
  );
}
