import {
  boxesMeet,
  distanceToLines,
  lengthsOf,
  pathData,
  placeOn,
  wayRound,
  type Polyline,
} from '../../geometry/index.ts';
import type { Part } from '../../piece/index.ts';
import { boxOfPart, colourOfPart, runsOfPart, type Drawn, type TidyContext, type TidyStep } from './drawn.ts';
import { TIDY } from './thresholds.ts';

const DECIMALS = 3;

/**
 * A border that two lines share is outlined once, in the darker colour: of the lighter line that stretch goes. Of two as dark, the one behind
 * gives way. Lines that only cross or touch share no border.
 */
export function sharedBorders(drawn: Drawn, { scale }: TidyContext): TidyStep {
  const lines = drawn.parts.flatMap((part, depth) => {
    const box = part.kind === 'line' && !part.dashed ? boxOfPart(part) : null;
    return box ? [{ part, depth, box, runs: runsOfPart(part), l: colourOfPart(drawn, part).l }] : [];
  });
  const cut = new Map<string, string>();
  const found: string[] = [];
  for (const line of lines) {
    const [width, least] = [line.part.strokeMm ?? 0, TIDY.onLineMm / scale];
    const stronger = lines.filter((other) => {
      const wide = other.part.strokeMm ?? 0;
      const isStronger = other.l < line.l - 1 || (Math.abs(other.l - line.l) <= 1 && other.depth > line.depth);
      const isLike = Math.max(width, wide) <= TIDY.likeWidths * Math.min(width, wide);
      return other !== line && isStronger && isLike && boxesMeet(line.box, other.box);
    });
    if (stronger.length === 0) continue;
    const others = stronger.flatMap(({ runs }) => runs);
    const withinMm = Math.max(least, TIDY.onLineShare * width);
    const leastMm = Math.max(TIDY.sharedBorderMm / scale, TIDY.sharedBorderWidths * width);
    const kept = line.runs.flatMap((run) => apartFrom(run, others, withinMm, leastMm) ?? [run]);
    const isCut = kept.length !== line.runs.length || kept.some((run, i) => run !== line.runs[i]);
    if (!isCut || kept.length === 0) continue;
    cut.set(line.part.id, kept.map((run) => pathData(run, DECIMALS)).join(''));
    found.push(line.part.name);
  }
  const parts = drawn.parts.map((part): Part => (cut.has(part.id) ? { ...part, path: cut.get(part.id)! } : part));
  return { drawn: found.length > 0 ? { ...drawn, parts } : drawn, found };
}

/**
 * What is left of a line where it does not run along others for a stretch.
 * @param leastMm shorter stretches are only crossings
 * @returns null where nothing is shared
 */
function apartFrom(run: Polyline, others: readonly Polyline[], withinMm: number, leastMm: number): Polyline[] | null {
  const way = run.closed ? wayRound(run.points) : run.points;
  const lengths = lengthsOf(way);
  const length = lengths.at(-1) ?? 0;
  const looks = Math.max(2, Math.min(MOST_LOOKS, Math.ceil((length / leastMm) * LOOKS)));
  const places = Array.from({ length: looks + 1 }, (_, i) => placeOn(way, lengths, (i / looks) * length));
  const isOn = places.map(([x, y]) => distanceToLines(others, x, y) <= withinMm);
  const least = (leastMm / length) * looks;
  // A shared stretch that is too short is none.
  for (let from = 0; from <= looks;) {
    let to = from;
    while (to <= looks && isOn[to] === isOn[from]) to++;
    if (isOn[from] && to - from <= least) isOn.fill(false, from, to);
    from = to;
  }
  if (isOn.every((on) => !on) || isOn.every((on) => on)) return null;
  const stretches: number[][] = [];
  isOn.forEach((on, i) => {
    if (on || (i > 0 && !isOn[i - 1])) return;
    const end = isOn.indexOf(true, i);
    // Its ends lie on the line that goes on from there.
    const [from, to] = [Math.max(0, i - 1), end < 0 ? looks : end].map((at) => (at / looks) * length);
    stretches.push(stretchOf(way, lengths, from!, to!));
  });
  const isRoundStart = run.closed && stretches.length > 1 && !isOn[0] && !isOn[looks];
  if (isRoundStart) stretches[0] = [...stretches.pop()!, ...stretches[0]!.slice(2)];
  return stretches.map((points) => ({ points: Float64Array.from(points), closed: false }));
}

/** A line from one length along it to another, with its corners between them. */
function stretchOf(way: Float64Array, lengths: Float64Array, from: number, to: number): number[] {
  const points = [...placeOn(way, lengths, from)];
  for (let i = 0; i < lengths.length; i++) {
    if (lengths[i]! > from && lengths[i]! < to) points.push(way[2 * i]!, way[2 * i + 1]!);
  }
  return [...points, ...placeOn(way, lengths, to)];
}

/** A line is looked at in as many places for each stretch that counts, and in no more than so many. */
const LOOKS = 8;
const MOST_LOOKS = 600;
