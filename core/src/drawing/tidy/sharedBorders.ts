import { boxesMeet, distanceToLines, pathData, withoutStretches } from '../../geometry/index.ts';
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
    const isShared = (x: number, y: number): boolean => distanceToLines(others, x, y) <= withinMm;
    const kept = line.runs.flatMap((run) => withoutStretches(run, isShared, leastMm));
    const isCut = kept.length !== line.runs.length || kept.some((run, i) => run !== line.runs[i]);
    if (!isCut || kept.length === 0) continue;
    cut.set(line.part.id, kept.map((run) => pathData(run, DECIMALS)).join(''));
    found.push(line.part.name);
  }
  const parts = drawn.parts.map((part): Part => (cut.has(part.id) ? { ...part, path: cut.get(part.id)! } : part));
  return { drawn: found.length > 0 ? { ...drawn, parts } : drawn, found };
}
