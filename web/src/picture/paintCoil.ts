import { TONE_STEPS } from '@junctura/core/colour';
import type { Brush } from './brush.ts';
import { LIGHT_X, LIGHT_Y } from './light.ts';
import { paintLoop, STRANDS_FROM_PX, toneOf } from './paintRun.ts';
import type { ThreadLook } from './threadLook.ts';

export interface CoilShape {
  readonly thickness: number;
  readonly turns: number;
  /** How many wraps there are for those that would cover the span: over one it stands up in a bow. */
  readonly fullness: number;
  readonly strands: number;
}

/** How far wraps lean, in thicknesses. */
const LEAN = 0.3;

/** A coil of wound thread over a span (px): its wraps side by side, a little slanting, bowed where there are more than it takes. */
export function paintCoil(
  brush: Brush,
  { x0, y0, x1, y1 }: { x0: number; y0: number; x1: number; y1: number },
  { thickness, turns, fullness, strands }: CoilShape,
  tones: ThreadLook,
): void {
  const length = Math.hypot(x1 - x0, y1 - y0) || 1;
  const [dx, dy] = [(x1 - x0) / length, (y1 - y0) / length];
  const bow = Math.min(length * 0.6, length * Math.max(0, fullness - 1.05) * 0.9);
  const at = (t: number): [number, number] => {
    const out = bow * 4 * t * (1 - t);
    return [x0 + dx * length * t - dy * out, y0 + dy * length * t + dx * out];
  };
  const half = thickness / 2;
  const core = (style: string, width: number, shift: number): void => {
    brush.strokeStyle = style;
    brush.lineWidth = width;
    // Where wraps are seen one by one they end the coil themselves.
    brush.lineCap = thickness < 3 ? 'round' : 'butt';
    brush.beginPath();
    for (let k = 0; k <= 12; k++) {
      const [x, y] = at(0.04 + (0.92 * k) / 12);
      brush.lineTo(x - LIGHT_X * shift, y - LIGHT_Y * shift);
    }
    brush.stroke();
    brush.lineCap = 'butt';
  };
  core('rgba(30, 22, 12, 0.28)', thickness, thickness * 0.2);
  core(tones.edge, thickness * (thickness < 3 ? 1 : 0.84), 0);
  if (thickness < 3) return core(tones.body[TONE_STEPS - 2]!, thickness * 0.7, -thickness * 0.06);
  const pitch = 1 / turns;
  const wide = Math.max(1, ((length * pitch) / Math.max(1, Math.min(fullness, 1))) * 0.86);
  brush.lineCap = 'round';
  for (let k = 0; k < turns; k++) {
    const t = (k + 0.5) * pitch;
    const [x, y] = at(t);
    const [ax, ay] = at(Math.min(1, t + 0.02));
    const way = Math.hypot(ax - x, ay - y) || 1;
    const [ux, uy] = [(ax - x) / way, (ay - y) / way];
    // A wrap runs across the coil, leaning along it; it is rounder towards the ends of the coil.
    const taper = 1 - 0.25 * Math.abs(2 * t - 1) ** 6;
    const [sx, sy] = [-uy * half * taper + ux * half * LEAN, ux * half * taper + uy * half * LEAN];
    const stroke = (style: string, width: number, from: number, to: number): void => {
      brush.strokeStyle = style;
      brush.lineWidth = width;
      brush.beginPath();
      brush.moveTo(x + sx * from, y + sy * from);
      brush.lineTo(x + sx * to, y + sy * to);
      brush.stroke();
    };
    if (wide >= STRANDS_FROM_PX) {
      stroke(tones.edge, wide * 1.12, -0.88, 0.88);
      // Over the top of the coil a wrap bows a little towards where it came from.
      const over = [-0.9, -0.4, 0.4, 0.9].flatMap((s) => [
        x + sx * s - ux * wide * 0.12 * (1 - s * s),
        y + sy * s - uy * wide * 0.12 * (1 - s * s),
      ]);
      paintLoop(brush, over, wide, Math.min(strands, 3), tones);
      continue;
    }
    const tone = toneOf(sx, sy);
    const isLit = sx * LIGHT_X + sy * LIGHT_Y > 0 ? 1 : -1;
    stroke(tones.edge, wide * 1.05, -0.84, 0.84);
    stroke(tones.body[Math.max(1, Math.min(TONE_STEPS - 3, tone))]!, wide * 0.8, -0.8, 0.8);
    stroke(tones.body[TONE_STEPS - 1]!, wide * 0.5, 0.05 * isLit, 0.6 * isLit);
    if (thickness > 12) stroke(tones.glint, wide * 0.2, 0.22 * isLit, 0.5 * isLit);
  }
  brush.lineCap = 'butt';
}
