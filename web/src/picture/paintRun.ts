import { TONE_STEPS, type ThreadTones } from '@junctura/core/colour';
import type { Brush } from './brush.ts';

/** From which way the light comes, across the cloth: from the upper left. */
const LIGHT_X = -0.55;
const LIGHT_Y = -0.83;

/** Widths of the laid thread in pixels at which more of it is drawn. */
const DETAIL_PX = { strands: 5, twist: 11 } as const;

/** Thread lies across the light when it is bright and along it when it is dull: the tone for a direction. */
export function toneOf(dx: number, dy: number): number {
  const length = Math.sqrt(dx * dx + dy * dy) || 1;
  const across = Math.abs(dx * LIGHT_Y - dy * LIGHT_X) / length;
  return Math.min(TONE_STEPS - 1, Math.floor(across * TONE_STEPS));
}

/** One straight run of thread on the cloth, in pixels. */
export interface Run {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
  /** Width as it lies. */
  readonly width: number;
  readonly strands: number;
}

/** Paints a run from simple to rich as it is seen larger: a stroke, a rounded stroke, strands with their twist. */
export function paintRun(brush: Brush, run: Run, tones: ThreadTones): void {
  if (run.width >= DETAIL_PX.strands) return paintStrands(brush, run, tones);
  const { x0, y0, x1, y1, width } = run;
  const tone = toneOf(x1 - x0, y1 - y0);
  if (width > 1.3) {
    brush.strokeStyle = tones.edge;
    brush.lineWidth = width;
    line(brush, x0, y0, x1, y1);
  }
  brush.strokeStyle = tones.body[tone]!;
  brush.lineWidth = width > 1.3 ? width * 0.74 : Math.max(width, 0.7);
  line(brush, x0, y0, x1, y1);
  if (width > 3 && tone > 2) {
    // The sheen along the side that faces the light.
    const length = Math.hypot(x1 - x0, y1 - y0) || 1;
    const side = (x1 - x0) * LIGHT_Y - (y1 - y0) * LIGHT_X > 0 ? -1 : 1;
    const [nx, ny] = [(-(y1 - y0) / length) * side * width * 0.14, ((x1 - x0) / length) * side * width * 0.14];
    brush.strokeStyle = tones.body[TONE_STEPS - 1]!;
    brush.lineWidth = width * 0.22;
    line(
      brush,
      x0 + nx + (x1 - x0) * 0.08,
      y0 + ny + (y1 - y0) * 0.08,
      x1 + nx - (x1 - x0) * 0.08,
      y1 + ny - (y1 - y0) * 0.08,
    );
  }
}

function line(brush: Brush, x0: number, y0: number, x1: number, y1: number): void {
  brush.beginPath();
  brush.moveTo(x0, y0);
  brush.lineTo(x1, y1);
  brush.stroke();
}

/** How far strands draw together where they go through the cloth. */
const PINCH = 0.52;

/** The strands of a run side by side, drawn together at its holes, each with an edge, a lit side and its twist. */
function paintStrands(brush: Brush, run: Run, tones: ThreadTones): void {
  const { x0, y0, x1, y1, width, strands } = run;
  const length = Math.hypot(x1 - x0, y1 - y0);
  if (length < 0.5) return;
  const [dx, dy] = [(x1 - x0) / length, (y1 - y0) / length];
  const shown = strands > 6 ? 8 : strands;
  const strand = width / shown;
  const tone = toneOf(dx, dy);
  const pinched = Math.min(length * 0.28, width * 0.9);
  brush.lineCap = 'round';
  paintShadow(brush, run, dx, dy, pinched);
  for (let i = 0; i < shown; i++) {
    const out = (i + 0.5) * strand - width / 2;
    const path = (shift: number): void => {
      const [nx, ny] = [-dy * (out + shift), dx * (out + shift)];
      const [px, py] = [nx * PINCH, ny * PINCH];
      brush.beginPath();
      brush.moveTo(x0 + px, y0 + py);
      brush.quadraticCurveTo(
        x0 + nx + (dx * pinched) / 2,
        y0 + ny + (dy * pinched) / 2,
        x0 + nx + dx * pinched,
        y0 + ny + dy * pinched,
      );
      brush.lineTo(x1 + nx - dx * pinched, y1 + ny - dy * pinched);
      brush.quadraticCurveTo(x1 + nx - (dx * pinched) / 2, y1 + ny - (dy * pinched) / 2, x1 + px, y1 + py);
      brush.stroke();
    };
    brush.strokeStyle = tones.edge;
    brush.lineWidth = strand * 1.06;
    path(0);
    const towardsLight = -dy * LIGHT_X + dx * LIGHT_Y > 0 ? 1 : -1;
    brush.strokeStyle = tones.body[Math.max(0, tone - 1)]!;
    brush.lineWidth = strand * 0.86;
    path(0);
    brush.strokeStyle = tones.body[Math.min(TONE_STEPS - 1, tone + 2)]!;
    brush.lineWidth = strand * 0.42;
    path(towardsLight * strand * 0.14);
    if (strand >= DETAIL_PX.twist / 2) paintTwist(brush, run, { dx, dy, out, strand, length, pinched }, tones, tone);
  }
  brush.lineCap = 'butt';
}

interface StrandPlace {
  readonly dx: number;
  readonly dy: number;
  readonly out: number;
  readonly strand: number;
  readonly length: number;
  readonly pinched: number;
}

/** The two plies of a strand show as slanting lines: darker in the grooves, a glint on each turn. */
function paintTwist(
  brush: Brush,
  { x0, y0 }: Run,
  { dx, dy, out, strand, length, pinched }: StrandPlace,
  tones: ThreadTones,
  tone: number,
): void {
  const pitch = strand * 1.15;
  const half = strand * 0.36;
  const lean = strand * 0.34;
  const turns = Math.floor((length - pinched * 0.7) / pitch);
  const start = (length - turns * pitch) / 2;
  const paint = (style: string, width: number, shift: number, reach: number): void => {
    brush.strokeStyle = style;
    brush.lineWidth = width;
    brush.beginPath();
    for (let turn = 0; turn <= turns; turn++) {
      const at = start + turn * pitch + shift;
      const ends = Math.min(1, Math.min(at, length - at) / Math.max(1, pinched));
      if (ends <= 0) continue;
      const side = out * (PINCH + (1 - PINCH) * ends);
      const cx = x0 + dx * at - dy * side;
      const cy = y0 + dy * at + dx * side;
      brush.moveTo(cx - dx * lean * reach + dy * half * reach, cy - dy * lean * reach - dx * half * reach);
      brush.lineTo(cx + dx * lean * reach - dy * half * reach, cy + dy * lean * reach + dx * half * reach);
    }
    brush.stroke();
  };
  brush.globalAlpha = 0.5;
  paint(tones.edge, Math.max(0.8, strand * 0.11), 0, 1);
  brush.globalAlpha = tone > 2 ? 0.5 : 0.28;
  paint(tones.glint, Math.max(0.7, strand * 0.1), pitch * 0.42, 0.55);
  brush.globalAlpha = 1;
}

/** Thread stands off the cloth: a soft shade on the side away from the light. */
function paintShadow(brush: Brush, { x0, y0, x1, y1, width }: Run, dx: number, dy: number, pinched: number): void {
  const shift = width * 0.14;
  brush.strokeStyle = 'rgba(30, 22, 12, 0.20)';
  brush.lineWidth = width * 0.96;
  brush.beginPath();
  brush.moveTo(x0 + dx * pinched * 0.4 - LIGHT_X * shift, y0 + dy * pinched * 0.4 - LIGHT_Y * shift);
  brush.lineTo(x1 - dx * pinched * 0.4 - LIGHT_X * shift, y1 - dy * pinched * 0.4 - LIGHT_Y * shift);
  brush.stroke();
}

/** A held loop: a curve through points in pixels, painted as one thread. */
export function paintLoop(
  brush: Brush,
  points: readonly number[],
  width: number,
  strands: number,
  tones: ThreadTones,
): void {
  const trace = (shiftX: number, shiftY: number): void => {
    brush.beginPath();
    brush.moveTo(points[0]! + shiftX, points[1]! + shiftY);
    for (let i = 2; i + 3 < points.length; i += 2) {
      const isLast = i + 5 > points.length;
      const ex = isLast ? points[i + 2]! : (points[i]! + points[i + 2]!) / 2;
      const ey = isLast ? points[i + 3]! : (points[i + 1]! + points[i + 3]!) / 2;
      brush.quadraticCurveTo(points[i]! + shiftX, points[i + 1]! + shiftY, ex + shiftX, ey + shiftY);
    }
    brush.stroke();
  };
  brush.lineJoin = 'round';
  brush.lineCap = 'round';
  if (width > DETAIL_PX.strands) {
    brush.strokeStyle = 'rgba(30, 22, 12, 0.22)';
    brush.lineWidth = width;
    trace(-LIGHT_X * width * 0.16, -LIGHT_Y * width * 0.16);
  }
  if (width > 1.3) {
    brush.strokeStyle = tones.edge;
    brush.lineWidth = width;
    trace(0, 0);
  }
  const middle = toneOf(points[points.length - 2]! - points[0]! || 1, points[points.length - 1]! - points[1]!);
  brush.strokeStyle = tones.body[Math.max(1, Math.min(middle, TONE_STEPS - 2))]!;
  brush.lineWidth = width > 1.3 ? width * 0.8 : Math.max(width, 0.7);
  trace(0, 0);
  if (width > 3) {
    brush.strokeStyle = tones.body[TONE_STEPS - 1]!;
    brush.lineWidth = width * 0.3;
    trace(LIGHT_X * width * 0.16, LIGHT_Y * width * 0.16);
  }
  if (width > DETAIL_PX.strands && strands > 1) {
    brush.strokeStyle = tones.edge;
    brush.globalAlpha = 0.45;
    brush.lineWidth = Math.max(0.6, width * 0.05);
    trace(0, 0);
    brush.globalAlpha = 1;
  }
  brush.lineCap = 'butt';
}

/** A round knot: a ball of wound thread, its windings running over it in arcs. */
export function paintKnot(
  brush: Brush,
  x: number,
  y: number,
  diameter: number,
  wraps: number,
  strands: number,
  tones: ThreadTones,
): void {
  const r = diameter / 2;
  disc(brush, x - LIGHT_X * r * 0.22, y - LIGHT_Y * r * 0.22, r * 1.04, 'rgba(30, 22, 12, 0.28)');
  disc(brush, x, y, r, tones.edge);
  disc(brush, x + LIGHT_X * r * 0.05, y + LIGHT_Y * r * 0.05, r * 0.9, tones.body[1]!);
  if (r < 2.5) {
    disc(brush, x + LIGHT_X * r * 0.25, y + LIGHT_Y * r * 0.25, r * 0.5, tones.body[TONE_STEPS - 1]!);
    return;
  }
  const turns = Math.max(3, Math.round(wraps) * Math.min(3, strands + 1));
  brush.lineCap = 'round';
  for (let i = 0; i < turns; i++) {
    const ring = r * (0.86 - (0.72 * i) / turns);
    const turn = 0.7 + i * 1.15;
    const width = (r * 1.25) / turns;
    brush.strokeStyle = tones.edge;
    brush.lineWidth = width;
    arc(brush, x, y, ring, turn, turn + 5.1);
    brush.strokeStyle = tones.body[3 + (i % 3)]!;
    brush.lineWidth = width * 0.76;
    arc(brush, x, y, ring, turn, turn + 5.1);
    brush.strokeStyle = tones.glint;
    brush.globalAlpha = 0.5;
    brush.lineWidth = width * 0.28;
    arc(brush, x, y, ring + width * 0.08, Math.PI * 1.08, Math.PI * 1.55);
    brush.globalAlpha = 1;
  }
  disc(brush, x, y, r * 0.13, tones.edge);
  brush.lineCap = 'butt';
}

function disc(brush: Brush, x: number, y: number, r: number, style: string): void {
  brush.fillStyle = style;
  brush.beginPath();
  brush.arc(x, y, r, 0, 2 * Math.PI);
  brush.fill();
}

function arc(brush: Brush, x: number, y: number, r: number, from: number, to: number): void {
  brush.beginPath();
  brush.arc(x, y, r, from, to);
  brush.stroke();
}
