import { boxOf, earlierMeeting, narrowestGap, type Polyline } from '../../geometry/index.ts';
import { coilThicknessMm, Move, type StitchPath } from '../../stitches/index.ts';
import type { Plan } from '../../thread/index.ts';
import { hundredths, type Finding, type FindingKinds, type FindingRemedies } from '../finding.ts';
import { leftOut, onPart, withStrands } from './onParts.ts';

/** A coil of wound thread over its span. */
interface Coil {
  readonly part: string;
  readonly line: Polyline;
  readonly thickMm: number;
}

/** Ends of coils may lie together, as in the middle of a flower: only this share of each, about its middle, must lie free. */
const FREE_SHARE = 0.7;
/** Nearer to each other than this share of their thickness, two coils lie into one another. */
const PRESSED = 0.75;

/** Coils that cross, or lie into one another: each stands as high as it is thick. */
export function coilFindings({ parts }: Plan): Finding[] {
  const coils = parts.flatMap(({ part, passes }) =>
    passes
      .filter(({ stitch }) => stitch === 'bullion')
      .flatMap(({ path, bundleMm }) =>
        coilsOf(path).map((line): Coil => ({ part: part.id, line, thickMm: coilThicknessMm(bundleMm) })),
      ),
  );
  const widest = coils.reduce((most, { thickMm }) => Math.max(most, thickMm), 0);
  const met = new Map<string, { crossings: number; pressed: number; thickMm: number }>();
  earlierMeeting(
    coils.map(({ line }) => boxOf([line.points])),
    widest,
  ).forEach((earlier, i) => {
    const one = coils[i]!;
    for (const j of earlier) {
      const other = coils[j]!;
      const gap = narrowestGap([one.line], [other.line], (PRESSED * (one.thickMm + other.thickMm)) / 2);
      if (!gap) continue;
      const found = met.get(one.part) ?? { crossings: 0, pressed: 0, thickMm: hundredths(one.thickMm) };
      // Lines that cross are nought apart.
      if (gap.mm === 0) found.crossings++;
      else found.pressed++;
      met.set(one.part, found);
    }
  });
  return [...met].map(([part, figures]) => ({ id: 'coils-meet', part, figures }));
}

/** The middle of each coil of a path. */
function coilsOf({ codes, xy }: StitchPath): Polyline[] {
  const lines: Polyline[] = [];
  codes.forEach((code, i) => {
    if (code !== Move.wrap) return;
    const [x0, y0, x1, y1] = [xy[2 * i - 2]!, xy[2 * i - 1]!, xy[2 * i + 2]!, xy[2 * i + 3]!];
    const [mx, my, dx, dy] = [(x0 + x1) / 2, (y0 + y1) / 2, ((x1 - x0) * FREE_SHARE) / 2, ((y1 - y0) * FREE_SHARE) / 2];
    lines.push({ points: Float64Array.of(mx - dx, my - dy, mx + dx, my + dy), closed: false });
  });
  return lines;
}

/** Where each is looked at, and how bad it is. */
export const COILS_KINDS = {
  'coils-meet': { step: 'stitches', severity: 'note' },
} satisfies Partial<FindingKinds>;

/** What can be done about each, worked out only when it is asked for. */
export const COILS_REMEDIES = {
  'coils-meet': (of) => onPart(of, (part) => [['Use one strand fewer', withStrands(part, -1)], leftOut(part)]),
} satisfies Partial<FindingRemedies>;
