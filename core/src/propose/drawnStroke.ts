import { placeAt } from '../geometry/index.ts';
import type { PlacedShape } from '../drawing/index.ts';
import { roundTo } from '../measure/index.ts';
import { stitchKind, type GivenParams, type StitchId } from '../stitches/index.ts';

/** A short line as it was drawn: from where, how long and which way one stitch on it goes. */
export interface DrawnStroke {
  readonly from: readonly [x: number, y: number];
  /** From its beginning to its end, mm. */
  readonly lengthMm: number;
  /** Anticlockwise from the x axis, degrees. */
  readonly angleDeg: number;
}

/** The stroke that a line is; null where it is no single open line. */
export function drawnStroke({ kind, shape }: PlacedShape): DrawnStroke | null {
  const [line] = shape.lines;
  if (kind !== 'line' || !line || line.closed || shape.lines.length > 1) return null;
  const { points } = line;
  const from = placeAt(points, 0);
  const [toX, toY] = placeAt(points, -1);
  const [dx, dy] = [toX - from[0], toY - from[1]];
  return { from, lengthMm: Math.hypot(dx, dy), angleDeg: (Math.atan2(-dy, dx) * 180) / Math.PI };
}

/** Of a fly stitch on a line, the arms reach this share of it; the rest is its tail. */
const ARMS_SHARE = 2 / 3;

/** What keeps one stitch as long as the line that was drawn for it; nothing for stitches that have no length. */
export function paramsAsDrawn(stitch: StitchId, { lengthMm }: DrawnStroke): GivenParams {
  if (stitch === 'fly') {
    return {
      depthMm: within(stitch, 'depthMm', lengthMm * ARMS_SHARE),
      tailMm: within(stitch, 'tailMm', lengthMm * (1 - ARMS_SHARE)),
    };
  }
  return 'lengthMm' in stitchKind(stitch).params ? { lengthMm: within(stitch, 'lengthMm', lengthMm) } : {};
}

function within(stitch: StitchId, key: string, mm: number): number {
  const param = stitchKind(stitch).params[key];
  return param?.type === 'number' ? Math.min(param.max, Math.max(param.min, roundTo(mm, 1))) : mm;
}
