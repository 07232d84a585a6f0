import type { Box } from '../../geometry/index.ts';

/** Something that is to be numbered: where it lies, how much room it has inside, mm on the page. */
export interface Numbered {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  /** The widest circle inside it; 0 for lines and spots. */
  readonly roomMm: number;
}

/** A number on a map: a disc about a text, with a line to what it is of where it stands outside. */
export interface Callout {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly r: number;
  /** Where its line ends; null: it stands on what it is of. */
  readonly to: readonly [x: number, y: number] | null;
}

/** Discs keep this far apart, mm. */
const APART_MM = 0.5;
/** Discs are so large that their text has room. */
const LEAST_R_MM = 2.3;
const MORE_FOR_LETTER_MM = 0.55;
/** A number looks for room in rings round its place: how far apart they are, the places on each, and how far out. */
const RING_MM = 1.6;
const ANGLES = 20;
const FARTHEST_MM = 90;
/** A page with more numbers than this could not be read. */
const MOST = 260;

/**
 * Places numbers on a map so that none lies on another and each lies within the page. What has room is numbered inside; the rest beside it,
 * with a line. What finds no place is left out.
 * @param items what has least room should come last: it goes where there is room
 */
export function calloutsFor(items: readonly Numbered[], page: Box): Callout[] {
  const placed: Callout[] = [];
  const roomy = [...items].sort((a, b) => b.roomMm - a.roomMm).slice(0, MOST);
  for (const item of roomy) {
    const callout = placeFor(item, placed, page);
    if (callout) placed.push(callout);
  }
  return placed;
}

function placeFor(item: Numbered, placed: readonly Callout[], page: Box): Callout | null {
  const r = LEAST_R_MM + MORE_FOR_LETTER_MM * Math.max(0, item.text.length - 1);
  const isFree = (x: number, y: number): boolean =>
    x - r >= page.minX &&
    x + r <= page.maxX &&
    y - r >= page.minY &&
    y + r <= page.maxY &&
    placed.every((other) => Math.hypot(other.x - x, other.y - y) >= other.r + r + APART_MM);
  if (item.roomMm >= r && isFree(item.x, item.y)) return { text: item.text, x: item.x, y: item.y, r, to: null };
  let crossing: Callout | null = null;
  for (let reach = r + 1.2; reach < FARTHEST_MM; reach += RING_MM) {
    for (let k = 0; k < ANGLES; k++) {
      // Every other ring is turned, and the upper right comes first.
      const angle = -Math.PI / 4 + (2 * Math.PI * (k + (Math.round(reach / RING_MM) % 2) / 2)) / ANGLES;
      const [x, y] = [item.x + reach * Math.cos(angle), item.y + reach * Math.sin(angle)];
      if (!isFree(x, y)) continue;
      const callout: Callout = { text: item.text, x, y, r, to: [item.x, item.y] };
      const runsOver = placed.some(
        (other) =>
          distanceToStretch(other.x, other.y, callout) < other.r + 0.2 ||
          (other.to !== null && crosses(other, callout)),
      );
      if (!runsOver) return callout;
      crossing ??= callout;
    }
  }
  return crossing;
}

function distanceToStretch(px: number, py: number, { x, y, to }: Callout): number {
  const [ex, ey] = [to![0] - x, to![1] - y];
  const length2 = ex * ex + ey * ey;
  const t = length2 > 0 ? Math.max(0, Math.min(1, ((px - x) * ex + (py - y) * ey) / length2)) : 0;
  return Math.hypot(px - x - t * ex, py - y - t * ey);
}

function crosses(a: Callout, b: Callout): boolean {
  const side = (p: Callout, x: number, y: number): number =>
    (p.to![0] - p.x) * (y - p.y) - (p.to![1] - p.y) * (x - p.x);
  return side(a, b.x, b.y) * side(a, ...b.to!) < 0 && side(b, a.x, a.y) * side(b, ...a.to!) < 0;
}
