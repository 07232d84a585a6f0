import { boxesMeet, isInBox, type Box } from '../../geometry/index.ts';

/** Something that is to be numbered: where it lies, how much room it has inside, mm on the page. */
export interface Numbered {
  /** The numbers of all steps that work it, in their order. */
  readonly texts: readonly string[];
  readonly x: number;
  readonly y: number;
  /** The widest circle inside it; 0 for lines and spots. */
  readonly roomMm: number;
}

/** A number in its disc. */
export interface Disc {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly r: number;
}

/** Numbers on a map: discs side by side, with a line to what they are of where they stand outside. */
export interface Callout {
  readonly discs: readonly Disc[];
  readonly box: Box;
  /** Where its line begins and ends; null: it stands on what it is of. */
  readonly line: readonly [fromX: number, fromY: number, toX: number, toY: number] | null;
}

/** Discs of different callouts keep this far apart, mm. */
const APART_MM = 0.6;
/** Discs are so large that their text has room. */
const LEAST_R_MM = 2.3;
const MORE_FOR_LETTER_MM = 0.6;
const BESIDE_MM = 0.3;
const MOST_IN_ROW = 4;
/** A number looks for room in rings round its place: how far apart they are, the places on each, and how far out. */
const RING_MM = 1.6;
const ANGLES = 24;
const FARTHEST_MM = 34;

/** What numbers were placed, and what found no place. */
export interface PlacedCallouts {
  readonly callouts: readonly Callout[];
  readonly left: readonly number[];
}

/**
 * Places numbers on a map so that none lies on another, no line runs over a number or another line, and each lies within the page. What has
 * room is numbered inside; the rest beside it, with a line.
 * @returns callouts, and the places in the list of what found no room
 */
export function calloutsFor(items: readonly Numbered[], page: Box): PlacedCallouts {
  const placed: Callout[] = [];
  const left: number[] = [];
  const order = items.map((_, i) => i).sort((a, b) => items[b]!.roomMm - items[a]!.roomMm);
  for (const i of order) {
    const callout = placeFor(items[i]!, placed, page);
    if (callout) placed.push(callout);
    else left.push(i);
  }
  return { callouts: placed, left: left.sort((a, b) => a - b) };
}

function plateAt({ texts }: Numbered, x: number, y: number): Omit<Callout, 'line'> {
  const longest = Math.max(...texts.map(({ length }) => length));
  const r = LEAST_R_MM + MORE_FOR_LETTER_MM * Math.max(0, longest - 1);
  const cell = 2 * r + BESIDE_MM;
  const columns = Math.min(MOST_IN_ROW, texts.length);
  const rows = Math.ceil(texts.length / columns);
  const [halfX, halfY] = [(columns * cell) / 2, (rows * cell) / 2];
  const discs = texts.map((text, i) => ({
    text,
    x: x - halfX + ((i % columns) + 0.5) * cell,
    y: y - halfY + (Math.floor(i / columns) + 0.5) * cell,
    r,
  }));
  return { discs, box: { minX: x - halfX, maxX: x + halfX, minY: y - halfY, maxY: y + halfY } };
}

function placeFor(item: Numbered, placed: readonly Callout[], page: Box): Callout | null {
  const { box } = plateAt(item, 0, 0);
  const isFree = (own: Box): boolean =>
    isInBox(page, own.minX, own.minY) &&
    isInBox(page, own.maxX, own.maxY) &&
    placed.every(
      ({ box: other, line }) => !boxesMeet(own, other, APART_MM) && (line === null || !runsThrough(line, own)),
    );
  if (item.roomMm >= Math.hypot(box.maxX, box.maxY)) {
    const plate = plateAt(item, item.x, item.y);
    if (isFree(plate.box)) return { ...plate, line: null };
  }
  for (let reach = Math.max(box.maxX, box.maxY) + 1.4; reach < FARTHEST_MM; reach += RING_MM) {
    for (let k = 0; k < ANGLES; k++) {
      // Every other ring is turned, and the upper right comes first.
      const angle = -Math.PI / 4 + (2 * Math.PI * (k + (Math.round(reach / RING_MM) % 2) / 2)) / ANGLES;
      const plate = plateAt(item, item.x + reach * Math.cos(angle), item.y + reach * Math.sin(angle));
      if (isInBox(plate.box, item.x, item.y) || !isFree(plate.box)) continue;
      const line = lineTo(plate.box, item.x, item.y);
      const runsOver = placed.some(
        (other) => runsThrough(line, other.box) || (other.line !== null && cross(other.line, line)),
      );
      if (!runsOver) return { ...plate, line };
    }
  }
  return null;
}

/** From the rim of a plate to a place outside it. */
function lineTo(box: Box, x: number, y: number): [number, number, number, number] {
  const [mx, my] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const [dx, dy] = [x - mx, y - my];
  const share = Math.min(
    dx === 0 ? Infinity : (box.maxX - mx) / Math.abs(dx),
    dy === 0 ? Infinity : (box.maxY - my) / Math.abs(dy),
  );
  return [mx + dx * share, my + dy * share, x, y];
}

/** Whether a stretch comes nearer to a box than a hair. */
function runsThrough([ax, ay, bx, by]: readonly [number, number, number, number], box: Box): boolean {
  const [dx, dy] = [bx - ax, by - ay];
  let [from, to] = [0, 1];
  for (const [start, step, least, most] of [
    [ax, dx, box.minX - HAIR_MM, box.maxX + HAIR_MM],
    [ay, dy, box.minY - HAIR_MM, box.maxY + HAIR_MM],
  ] as const) {
    if (step === 0) {
      if (start < least || start > most) return false;
      continue;
    }
    const [a, b] = [(least - start) / step, (most - start) / step];
    from = Math.max(from, Math.min(a, b));
    to = Math.min(to, Math.max(a, b));
  }
  return from <= to;
}
const HAIR_MM = 0.2;

type Stretch = readonly [number, number, number, number];

function cross([ax, ay, bx, by]: Stretch, [cx, cy, dx, dy]: Stretch): boolean {
  const side = (px: number, py: number, qx: number, qy: number, x: number, y: number): number =>
    (qx - px) * (y - py) - (qy - py) * (x - px);
  return (
    side(ax, ay, bx, by, cx, cy) * side(ax, ay, bx, by, dx, dy) < 0 &&
    side(cx, cy, dx, dy, ax, ay) * side(cx, cy, dx, dy, bx, by) < 0
  );
}
