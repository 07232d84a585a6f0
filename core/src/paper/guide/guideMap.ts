import { placesOf } from '../../geometry/index.ts';
import { edgesOf, positionsOf } from '../../drawing/index.ts';
import type { Box } from '../../geometry/index.ts';
import { innerHalvesMm } from '../../materials/index.ts';
import type { PageItem } from '../sheets.ts';
import { calloutsFor, type Callout, type Numbered } from './callouts.ts';
import type { Guide } from './guide.ts';

/** A map as strokes on paper, with its callouts. */
export interface GuideMap {
  readonly items: readonly PageItem[];
  readonly callouts: readonly Callout[];
  /** Numbers that found no place. */
  readonly left: readonly string[];
}

const TEXT_MM = 2.9;
/** The room that callouts have round the drawing, mm. */
const AROUND_MM = 16;
const LOOK_DOTS_MM = 0.8;

/** The drawing, small or large enough for its place, with the number of each motif on each of its parts. */
export function guideMap({ plan, piece, numbers }: Guide, page: Box): GuideMap {
  const { box } = plan.design;
  if (!box) return { items: [], callouts: [], left: [] };
  const [width, height] = [page.maxX - page.minX, page.maxY - page.minY];
  const scale = Math.min(
    (width - 2 * AROUND_MM) / Math.max(1, box.maxX - box.minX),
    (height - 2 * AROUND_MM) / Math.max(1, box.maxY - box.minY),
  );
  const x = (mm: number): number => (page.minX + page.maxX) / 2 + (mm - (box.minX + box.maxX) / 2) * scale;
  const y = (mm: number): number => (page.minY + page.maxY) / 2 + (mm - (box.minY + box.maxY) / 2) * scale;
  const placed = (points: Float64Array): Float64Array => points.map((mm, i) => (i % 2 ? y(mm) : x(mm)));
  const items: PageItem[] = [];
  const labels: Numbered[] = [];
  for (const { part, placed: shape } of plan.parts) {
    const number = numbers.get(part.id);
    if (number === undefined || !shape.box) continue;
    for (const { points, closed } of edgesOf(shape.shape)) {
      items.push({ type: 'line', points: placed(points), closed, widthMm: 0.25, grey: 0.35, dashMm: null });
    }
    const { spots } = shape.shape;
    for (const [px, py] of placesOf(spots)) {
      const [sx, sy] = [x(px), y(py)];
      const points = Float64Array.of(sx, sy, sx + 0.01, sy);
      items.push({ type: 'line', points, closed: false, widthMm: LOOK_DOTS_MM, grey: 0.35, dashMm: null });
    }
    const [ax, ay, room] = anchorOf(shape);
    labels.push({ text: String(number), x: x(ax), y: y(ay), roomMm: room * scale });
  }
  if (piece.hoop) {
    const [a, b] = innerHalvesMm(piece.hoop);
    for (const [cx, cy] of positionsOf(piece)) {
      const points = Array.from({ length: 90 }, (_, i) => (2 * Math.PI * i) / 90).flatMap((angle) => [
        x(cx + a * Math.cos(angle)),
        y(cy + b * Math.sin(angle)),
      ]);
      const isWithin = points.every((value, i) =>
        i % 2 ? value >= page.minY && value <= page.maxY : value >= page.minX && value <= page.maxX,
      );
      if (!isWithin) continue;
      items.push({ type: 'line', points: Float64Array.from(points), closed: true, widthMm: 0.2, grey: 0.6, dashMm: 2 });
    }
  }
  const callouts = calloutsFor(labels, page);
  const shown = new Set(callouts.map(({ text }) => text));
  return {
    items: [...items, ...callouts.flatMap(calloutItems)],
    callouts,
    left: [...new Set(labels.map(({ text }) => text))].filter((text) => !shown.has(text)),
  };
}

/** Where a shape is pointed at, and how much room it has there. */
function anchorOf({ widest, shape }: Guide['plan']['parts'][number]['placed']): [x: number, y: number, room: number] {
  if (widest) return [widest.x, widest.y, widest.r];
  const line = shape.lines[0]?.points;
  if (line && line.length >= 2) {
    const middle = 2 * Math.floor(line.length / 4);
    return [line[middle]!, line[middle + 1]!, 0];
  }
  return [shape.spots[0] ?? 0, shape.spots[1] ?? 0, 0];
}

function calloutItems({ x, y, r, text, to }: Callout): PageItem[] {
  const ring = Array.from({ length: 28 }, (_, i) => (2 * Math.PI * i) / 28).flatMap((angle) => [
    x + r * Math.cos(angle),
    y + r * Math.sin(angle),
  ]);
  const items: PageItem[] = [];
  if (to) {
    const length = Math.hypot(to[0] - x, to[1] - y);
    const [fx, fy] = [x + ((to[0] - x) * r) / length, y + ((to[1] - y) * r) / length];
    items.push({
      type: 'line',
      points: Float64Array.of(fx, fy, ...to),
      closed: false,
      widthMm: 0.2,
      grey: 0.1,
      dashMm: null,
    });
    items.push({
      type: 'line',
      points: Float64Array.of(...to, to[0] + 0.01, to[1]),
      closed: false,
      widthMm: 0.8,
      grey: 0.1,
      dashMm: null,
    });
  }
  items.push({ type: 'line', points: Float64Array.from(ring), closed: true, widthMm: 0.25, grey: 0.1, dashMm: null });
  items.push({ type: 'text', x, y: y + TEXT_MM * 0.35, sizeMm: TEXT_MM, text, align: 'centre', grey: 0, isBold: true });
  return items;
}
