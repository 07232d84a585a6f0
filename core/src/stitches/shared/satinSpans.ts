import {
  fieldRows,
  fieldSpans,
  type DirectionField,
  type Region,
  type SpanFan,
  placeAt,
} from '../../geometry/index.ts';
import type { MoveSink } from '../moves.ts';
import { fillRows } from './fillRows.ts';
import { sideBySide, type RowDirection } from './rowsAsLines.ts';
import type { Keeps } from './shading.ts';
import { fanOrder } from './fillOrder.ts';

/** Fewer rows than this are worked straight through, whatever the school. */
const FEWEST_FROM_MIDDLE = 6;

/**
 * From edge to edge along the direction, back to the first side underneath.
 * @param shadeAt the shade of a span whose middle lies somewhere; without it all are in one
 */
export function workSatin(
  region: Region,
  { spacingMm, from }: { spacingMm: number; from: 'middle' | 'edge' },
  direction: RowDirection,
  sink: MoveSink,
  shadeAt?: (x: number, y: number) => number,
  keeps?: Keeps,
): void {
  const write = (fan: SpanFan, k: number): void => {
    const shade = shadeAt?.((fan[4 * k]! + fan[4 * k + 2]!) / 2, (fan[4 * k + 1]! + fan[4 * k + 3]!) / 2);
    if (shade !== undefined) sink.shade(shade);
    if (!keeps || keeps(k, shade ?? 0)) writeSpan(fan, k, sink);
  };
  for (const fan of spansOf(region, direction, spacingMm)) {
    const count = fan.length / 4;
    const isFromMiddle = from === 'middle' && count >= FEWEST_FROM_MIDDLE && !isClosed(fan, spacingMm);
    const first = isFromMiddle ? count >> 1 : 0;
    sink.travel();
    for (let k = first; k < count; k++) write(fan, k);
    // Round a bend nothing hides the way back to the middle: where it is long, the other half begins anew.
    if (first > 0 && direction.field) sink.travel();
    for (let k = first - 1; k >= 0; k--) write(fan, k);
  }
}

/** Spans that lie side by side are no further apart than this, in spacings. */
const BESIDE = 2.5;

function liesBeside(a: SpanFan, i: number, b: SpanFan, k: number, spacingMm: number): boolean {
  const apart = (end: number): number => Math.hypot(a[i + end]! - b[k + end]!, a[i + end + 1]! - b[k + end + 1]!);
  return Math.min(apart(0), apart(2)) < BESIDE * spacingMm;
}

/** A fan that goes all round has no middle: its last span lies beside its first. */
function isClosed(fan: SpanFan, spacingMm: number): boolean {
  return fan.length > 4 && liesBeside(fan, fan.length - 4, fan, 0, spacingMm);
}

/** Fans of which each goes on beside where the last ended, as one. */
function joined(fans: readonly SpanFan[], spacingMm: number): SpanFan[] {
  const whole: SpanFan[] = [];
  for (const fan of fans) {
    const last = whole.at(-1);
    if (!last || last.length === 0 || fan.length === 0 || !liesBeside(last, last.length - 4, fan, 0, spacingMm)) {
      whole.push(fan);
      continue;
    }
    const both = new Float64Array(last.length + fan.length);
    both.set(last);
    both.set(fan, last.length);
    whole[whole.length - 1] = both;
  }
  return whole;
}

function writeSpan(fan: SpanFan, k: number, sink: MoveSink): void {
  sink.stitch();
  sink.up(fan[4 * k]!, fan[4 * k + 1]!);
  sink.down(fan[4 * k + 2]!, fan[4 * k + 3]!);
}

/** Spans from edge to edge in any direction, block by block or fan by fan, side by side within each. */
export function spansOf(region: Region, { angleRad, field }: RowDirection, spacingMm: number): SpanFan[] {
  if (field) return turningSpans(region, field, spacingMm);
  const { blocks, ux, uy } = fillRows(region, angleRad, spacingMm);
  return blocks.map(({ rows, count }) => {
    const fan = new Float64Array(4 * count);
    for (let k = 0; k < count; k++) {
      const [u0, u1, v] = [rows[3 * k]!, rows[3 * k + 1]!, rows[3 * k + 2]!];
      fan.set([u0 * ux - v * uy, u0 * uy + v * ux, u1 * ux - v * uy, u1 * uy + v * ux], 4 * k);
    }
    return fan;
  });
}

/** A straight span can't follow directions that turn away from it by more than this at its ends (sine). */
const BENT = Math.sin((25 * Math.PI) / 180);
/** Where more than this share of the thread would lie so, spans are kept short instead. */
const MOST_BENT = 0.15;

/**
 * The spans of satin in directions that turn, fan by fan in the order of working. Where the directions run along a bend and
 * not across it, no long straight span can keep to them: short ones lie as rows do.
 */
function turningSpans(region: Region, field: DirectionField, spacingMm: number): SpanFan[] {
  const fans = fieldSpans(region, field, spacingMm);
  if (fans.length > 0 && bentShare(fans, field) <= MOST_BENT) return joined(fanOrder(fans), spacingMm);
  const rows = sideBySide(fieldRows(region, field, spacingMm, { straight: true }));
  return rows.map(({ points }) => Float64Array.of(...placeAt(points, 0), ...placeAt(points, -1)));
}

/** Which share of the thread lies in spans that the directions turn away from. */
function bentShare(fans: readonly SpanFan[], field: DirectionField): number {
  let [bent, all] = [0, 0];
  const direction = { dx: 1, dy: 0 };
  for (const fan of fans) {
    for (let i = 0; i < fan.length; i += 4) {
      const [dx, dy] = [fan[i + 2]! - fan[i]!, fan[i + 3]! - fan[i + 1]!];
      const length = Math.hypot(dx, dy) || 1;
      const turnedAt = (share: number): number => {
        field.directionAt(fan[i]! + share * dx, fan[i + 1]! + share * dy, direction);
        return Math.abs(dx * direction.dy - dy * direction.dx) / length;
      };
      all += length;
      if (Math.max(turnedAt(0.1), turnedAt(0.9)) > BENT) bent += length;
    }
  }
  return all > 0 ? bent / all : 0;
}
