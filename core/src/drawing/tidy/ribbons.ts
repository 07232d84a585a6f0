import { lengthsOf, middleLine, pathData } from '../../geometry/index.ts';
import { mean } from '../../measure/index.ts';
import type { Part } from '../../piece/index.ts';
import { regionOfPart, type Drawn, type TidyStep } from './drawn.ts';
import { TIDY } from './thresholds.ts';

const DECIMALS = 3;

/** Areas of even width, many times as long as wide, as lines of that width. */
export function ribbons(drawn: Drawn): TidyStep {
  const found: string[] = [];
  const parts = drawn.parts.map((part): Part => {
    const line = part.kind === 'area' ? asLine(part) : null;
    if (line) found.push(part.name);
    return line ?? part;
  });
  return { drawn: { ...drawn, parts }, found };
}

function asLine(part: Part): Part | null {
  const region = regionOfPart(part);
  // What has a hole goes round, and has no two ends.
  const middle = region.length === 1 ? middleLine(region) : null;
  if (!middle) return null;
  const widthMm = mean([...middle.widthsMm]);
  const lengthMm = lengthsOf(middle.points).at(-1) ?? 0;
  if (lengthMm < TIDY.ribbonLength * widthMm) return null;
  // The two ends narrow or round off: what lies between them must be even.
  const inner = middle.widthsMm.slice(middle.widthsMm.length >> 3, -(middle.widthsMm.length >> 3) || undefined);
  if (Math.max(...inner) - Math.min(...inner) > TIDY.ribbonUneven * widthMm) return null;
  const path = pathData({ points: middle.points, closed: false }, DECIMALS);
  return { ...part, kind: 'line', path, strokeMm: Math.round(widthMm * 1000) / 1000, opaque: false, passes: null };
}
