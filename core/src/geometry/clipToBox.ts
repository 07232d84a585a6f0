import { placeAt } from './points.ts';
import type { Box, Polyline } from './shapes.ts';

/** The pieces of a polyline inside a box (Liang and Barsky 1984, edge by edge). */
export function clipToBox({ points, closed }: Polyline, box: Box): Float64Array[] {
  const pieces: number[][] = [];
  const count = points.length / 2;
  const edges = closed ? count : count - 1;
  for (let i = 0; i < edges; i++) {
    const j = (i + 1) % count;
    const [[ax, ay], [bx, by]] = [placeAt(points, i), placeAt(points, j)];
    const kept = insideShares(ax, ay, bx - ax, by - ay, box);
    if (!kept) continue;
    const [from, to] = kept;
    const start = [ax + from * (bx - ax), ay + from * (by - ay)];
    const end = [ax + to * (bx - ax), ay + to * (by - ay)];
    const last = pieces.at(-1);
    if (last && from === 0 && last.at(-2) === start[0] && last.at(-1) === start[1]) last.push(...end);
    else pieces.push([...start, ...end]);
  }
  return pieces.map((piece) => Float64Array.from(piece));
}

function insideShares(x: number, y: number, dx: number, dy: number, box: Box): [number, number] | null {
  let [from, to] = [0, 1];
  const sides: [way: number, room: number][] = [
    [-dx, x - box.minX],
    [dx, box.maxX - x],
    [-dy, y - box.minY],
    [dy, box.maxY - y],
  ];
  for (const [way, room] of sides) {
    if (way === 0) {
      if (room < 0) return null;
      continue;
    }
    const share = room / way;
    if (way < 0) from = Math.max(from, share);
    else to = Math.min(to, share);
    if (from > to) return null;
  }
  return [from, to];
}
