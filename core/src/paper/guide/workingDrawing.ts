import { placeAt } from '../../geometry/index.ts';
import { Move, type StitchId } from '../../stitches/index.ts';
import { sampleOf } from '../samples.ts';
import type { PageItem } from '../sheets.ts';

/** The moves of the needle that a drawing shows: enough to see the rule, few enough to follow. */
const MOST_MOVES = 14;
/** The number of holes that are numbered. */
const MOST_NUMBERED = 8;
const NUMBER_MM = 2.5;

/**
 * How a stitch is worked, as strokes on paper: thread in front is broad, behind it is dashed, and the holes are numbered in the order in which
 * the needle goes through them.
 * @param hand a left hand works it mirrored
 */
export function workingDrawing(
  stitch: StitchId,
  hand: 'right' | 'left',
  x: number,
  y: number,
  widthMm: number,
  heightMm: number,
): PageItem[] {
  const { pass } = sampleOf(stitch);
  const { codes, xy } = pass.path;
  const last = lastMove(codes);
  const places: number[] = [];
  for (let i = 0; i < last; i++) if (isPlace(codes[i]!)) places.push(...placeAt(xy, i));
  const [xs, ys] = [places.filter((_, i) => i % 2 === 0), places.filter((_, i) => i % 2 === 1)];
  const [minX, maxX, minY, maxY] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const room = 2.2 * NUMBER_MM;
  const scale = Math.min((widthMm - room) / Math.max(1, maxX - minX), (heightMm - room) / Math.max(1, maxY - minY), 7);
  const mirror = hand === 'left' ? -1 : 1;
  const place = (i: number): [number, number] => [
    x + widthMm / 2 + mirror * (xy[2 * i]! - (minX + maxX) / 2) * scale,
    y + heightMm / 2 + (xy[2 * i + 1]! - (minY + maxY) / 2) * scale,
  ];
  const threadMm = Math.max(0.9, Math.min(2.4, pass.laidMm * scale * 0.85));
  const front: PageItem[] = [];
  const behind: PageItem[] = [];
  const numbers: PageItem[] = [];
  let way: [number, number][] = [];
  let down: [number, number] | null = null;
  let holes = 0;
  const finish = (): void => {
    if (way.length > 1) front.push(...thread(way.flat(), threadMm));
    way = [];
  };
  for (let i = 0; i < last; i++) {
    const code = codes[i]!;
    if (code === Move.wrap) {
      const [cx, cy] = way.at(-1) ?? [x, y];
      front.push(...wrapRings(cx, cy, threadMm, Math.round(xy[2 * i]!)));
    }
    if (!isPlace(code)) continue;
    const at = place(i);
    if (code === Move.up) {
      finish();
      if (down) behind.push(line([...down, ...at], 0.3, 0.35, 1));
      way = [at];
    } else way.push(at);
    if (code === Move.down) {
      finish();
      down = at;
    }
    if ((code === Move.up || code === Move.down) && holes < MOST_NUMBERED) {
      holes++;
      numbers.push(...hole(at, holes));
    }
  }
  finish();
  return [...behind, ...front, ...numbers];
}

function isPlace(code: number): boolean {
  return code === Move.up || code === Move.down || code === Move.via || code === Move.under;
}

/** The end of the stitch that is under way after a number of moves. */
function lastMove(codes: Uint8Array): number {
  for (let i = Math.min(MOST_MOVES, codes.length); i < codes.length; i++) if (codes[i - 1] === Move.down) return i;
  return codes.length;
}

function line(points: number[], widthMm: number, grey: number, dashMm: number | null = null): PageItem {
  return { type: 'line', points: Float64Array.from(points), closed: false, widthMm, grey, dashMm };
}

/** Thread seen on paper: a dark edge round a pale body. */
function thread(points: number[], widthMm: number): PageItem[] {
  return [line(points, widthMm, 0.25), line(points, widthMm - 0.5, 0.82)];
}

function wrapRings(x: number, y: number, threadMm: number, turns: number): PageItem[] {
  return Array.from({ length: Math.min(3, Math.max(1, turns)) }, (_, k) => {
    const r = threadMm * (0.8 + 0.35 * k);
    const points = Array.from({ length: 24 }, (__, i) => (2 * Math.PI * i) / 24).flatMap((angle) => [
      x + r * Math.cos(angle),
      y + r * Math.sin(angle),
    ]);
    return { type: 'line', points: Float64Array.from(points), closed: true, widthMm: 0.3, grey: 0.3, dashMm: null };
  });
}

function hole([x, y]: [number, number], number: number): PageItem[] {
  return [
    line([x, y, x + 0.01, y], 0.9, 0),
    {
      type: 'text',
      x: x + (number % 2 ? -1.6 : 1.6),
      y: y + (number % 2 ? 3 : -1.1),
      sizeMm: NUMBER_MM,
      text: String(number),
      align: 'centre',
      grey: 0,
    },
  ];
}
