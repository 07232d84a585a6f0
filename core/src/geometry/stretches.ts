import { lengthsOf, placeOn, wayRound } from './alongPolyline.ts';
import type { Polyline } from './shapes.ts';

/** A line is looked at in as many places for each stretch that counts, and in no more than the second. */
const LOOKS = 8;
const MOST_LOOKS = 600;

/**
 * What is left of a line where places along it are left out, with its corners. Ends reach one look into what is left out.
 * @param isOut whether a place is left out
 * @param leastMm stretches that are left out and shorter than this are kept
 * @returns the line itself where nothing is left out; nothing where all of it is
 */
export function withoutStretches(
  line: Polyline,
  isOut: (x: number, y: number) => boolean,
  leastMm: number,
): readonly Polyline[] {
  const way = line.closed ? wayRound(line.points) : line.points;
  const lengths = lengthsOf(way);
  const length = lengths.at(-1) ?? 0;
  const looks = Math.max(2, Math.min(MOST_LOOKS, Math.ceil((length / leastMm) * LOOKS)));
  const out = Array.from({ length: looks + 1 }, (_, i) => isOut(...placeOn(way, lengths, (i / looks) * length)));
  keepShort(out, (leastMm / length) * looks);
  if (!out.includes(true)) return [line];
  const stretches: number[][] = [];
  out.forEach((isGone, i) => {
    if (isGone || (i > 0 && !out[i - 1])) return;
    const end = out.indexOf(true, i);
    const [from, to] = [Math.max(0, i - 1), end < 0 ? looks : end].map((at) => (at / looks) * length);
    stretches.push(stretchOf(way, lengths, from!, to!));
  });
  const isRoundStart = line.closed && stretches.length > 1 && !out[0] && !out[looks];
  if (isRoundStart) stretches[0] = [...stretches.pop()!, ...stretches[0]!.slice(2)];
  return stretches.map((points) => ({ points: Float64Array.from(points), closed: false }));
}

/** A stretch that is too short to be left out is kept. */
function keepShort(out: boolean[], least: number): void {
  for (let from = 0; from < out.length;) {
    let to = from;
    while (to < out.length && out[to] === out[from]) to++;
    if (out[from] && to - from <= least) out.fill(false, from, to);
    from = to;
  }
}

/** A line from one length along it to another, with its corners between them. */
function stretchOf(way: Float64Array, lengths: Float64Array, from: number, to: number): number[] {
  const points = [...placeOn(way, lengths, from)];
  for (let i = 0; i < lengths.length; i++) {
    if (lengths[i]! > from && lengths[i]! < to) points.push(way[2 * i]!, way[2 * i + 1]!);
  }
  return [...points, ...placeOn(way, lengths, to)];
}
