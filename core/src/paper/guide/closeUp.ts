import { aroundBoxes, clipToBox, type Box } from '../../geometry/index.ts';
import { edgesOf } from '../../drawing/index.ts';
import { threadTones } from '../../colour/index.ts';
import type { Piece } from '../../piece/index.ts';
import type { Plan } from '../../thread/index.ts';
import type { PageItem } from '../sheets.ts';
import { stepFront } from './stepMarks.ts';
import type { StepNote } from './stepNotes.ts';

/** Air round a part in its picture, as a share of its size, and the least of the cloth that is seen, mm. */
const AIR = 0.16;
const LEAST_MM = 12;
/** Like parts are shown together where that is no larger than this many times the first of them. */
const TOGETHER = 2.6;
/** The body of a thread within its darker edge. */
const BODY = 0.72;
/** The dot where the needle comes up first, and the lines over the stitches, mm on paper. */
const START_MM = 1.5;
const LINE_MM = 0.35;

/** A little picture of a step: its stitches as they will lie, what lies about them pale, where to come up first and which way to go. */
export function closeUp(piece: Piece, plan: Plan, note: StepNote, widthMm: number, heightMm: number): PageItem[] {
  const { marks: first } = note;
  if (!first) return [];
  const others = plan.order.slice(note.from + 1, note.to).map((step) => stepFront(piece, plan, step) ?? first);
  const all = [first, ...others];
  const whole = all.map(({ box }) => box).reduce(aroundBoxes);
  const isTogether = sizeOf(whole) <= TOGETHER * Math.max(LEAST_MM, sizeOf(first.box));
  const shown = isTogether ? all : [first];
  const window = withAir(isTogether ? whole : first.box, widthMm / heightMm);
  const { items, line, placed, scale } = paleDrawing(plan, window, widthMm);
  for (const { front } of shown) items.push(...threadItems(front, note.thread.hex, placed, scale));
  for (const border of first.borders) {
    for (const points of clipToBox(border, window)) {
      if (points.length < 4) continue;
      line(points, 1, 3 * LINE_MM);
      line(points, 0, LINE_MM, 1.2);
    }
  }
  const { start, way } = first;
  for (const arrow of way ?? []) {
    line(arrow.points, 1, 2.6 * LINE_MM);
    line(arrow.points, 0, LINE_MM);
  }
  const at = Float64Array.of(start[0], start[1], start[0] + 0.01, start[1]);
  line(at, 1, START_MM + 0.7);
  line(at, 0, START_MM);
  return items;
}

/** A little picture of a scrap as it lies: its outline, what lies about it and upon it pale. */
export function scrapPicture(plan: Plan, depth: number, widthMm: number, heightMm: number): PageItem[] {
  const { shape, box } = plan.parts[depth]!.placed;
  if (!box) return [];
  const { items, line } = paleDrawing(plan, withAir(box, widthMm / heightMm), widthMm);
  for (const { points } of edgesOf(shape)) line(points, 0, LINE_MM);
  return items;
}

/** A drawing in mm on paper that is begun with the outlines of all parts. */
interface PaleDrawing {
  readonly items: PageItem[];
  readonly scale: number;
  /** A line on the cloth, drawn. */
  line(points: Float64Array, grey: number, lineMm?: number, dashMm?: number | null): void;
  /** Places on the cloth as they lie on paper. */
  placed(points: Float64Array): Float64Array;
}

function paleDrawing({ parts }: Plan, window: Box, widthMm: number): PaleDrawing {
  const scale = widthMm / (window.maxX - window.minX);
  const placed = (points: Float64Array): Float64Array =>
    points.map((mm, i) => (i % 2 ? (mm - window.minY) * scale : (mm - window.minX) * scale));
  const items: PageItem[] = [];
  const line = (points: Float64Array, grey: number, lineMm = 0.2, dashMm: number | null = null): void =>
    void items.push({ type: 'line', points: placed(points), closed: false, widthMm: lineMm, grey, dashMm });
  for (const { placed: part } of parts) {
    for (const edge of edgesOf(part.shape))
      for (const points of clipToBox(edge, window)) if (points.length >= 4) line(points, 0.72);
  }
  return { items, scale, line, placed };
}

function threadItems(
  { runs, knots }: NonNullable<StepNote['marks']>['front'],
  hex: string,
  placed: (points: Float64Array) => Float64Array,
  scale: number,
): PageItem[] {
  const byWidth = new Map<number, Float64Array[]>();
  const add = (widthMm: number, points: Float64Array): void => {
    const own = byWidth.get(widthMm) ?? [];
    byWidth.set(widthMm, own);
    own.push(placed(points));
  };
  for (const { lines, widthMm } of runs) for (const points of lines) add(widthMm, points);
  const dark = threadTones(hex).edge;
  const dots = knots.map(([x, y, r]) => ({ points: placed(Float64Array.of(x, y, x + 0.01, y)), r: r * scale }));
  return [
    // All dark edges first, then the threads on top: a dark line is left between neighbours.
    ...[...byWidth].map(([widthMm, lines]): PageItem => ({
      type: 'strokes',
      lines,
      widthMm: widthMm * scale,
      hex: dark,
    })),
    ...[...byWidth].map(([widthMm, lines]): PageItem => ({
      type: 'strokes',
      lines,
      widthMm: widthMm * scale * BODY,
      hex,
    })),
    ...dots.flatMap(({ points, r }): PageItem[] => [
      { type: 'strokes', lines: [points], widthMm: 2 * r, hex: dark },
      { type: 'strokes', lines: [points], widthMm: 1.5 * r, hex },
    ]),
  ];
}

const sizeOf = ({ minX, minY, maxX, maxY }: Box): number => Math.max(maxX - minX, maxY - minY);

/** A box with air about it, in the shape of its picture. */
function withAir({ minX, minY, maxX, maxY }: Box, shape: number): Box {
  const [x, y] = [(minX + maxX) / 2, (minY + maxY) / 2];
  const across = Math.max(LEAST_MM, (1 + 2 * AIR) * (maxX - minX), (1 + 2 * AIR) * (maxY - minY) * shape);
  return { minX: x - across / 2, maxX: x + across / 2, minY: y - across / shape / 2, maxY: y + across / shape / 2 };
}
