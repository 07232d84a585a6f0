import { TONE_STEPS } from '@junctura/core/colour';
import type { Brush } from './brush.ts';
import { LIGHT_X, LIGHT_Y } from './light.ts';
import { StrandBrush } from './strandTexture.ts';
import type { ThreadLook } from './threadLook.ts';

/** Thread this wide on screen is drawn strand by strand, px. */
export const STRANDS_FROM_PX = 6.5;

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

/** How far strands draw together where they go through the cloth. */
const PINCH = 0.52;

/** How wide a strand is painted, of its share of the width: what lies round shows a gap, wool closes it. */
const OVERLAP = { floss: 1.02, plied: 1.04, wool: 1.14 } as const;

/** The strands of a run side by side, drawn together at its holes, each with an edge, a lit side and its twist. */
export function paintStrands(brush: Brush, run: Run, tones: ThreadLook, isRaised: boolean): void {
  const { x0, y0, x1, y1, width, strands } = run;
  const length = Math.hypot(x1 - x0, y1 - y0);
  if (length < 0.5) return;
  const [dx, dy] = [(x1 - x0) / length, (y1 - y0) / length];
  const shown = strands > 6 ? 8 : strands;
  const strand = width / shown;
  const pinched = Math.min(length * 0.3, width * 0.9);
  brush.lineCap = 'round';
  paintShadow(brush, run, dx, dy, pinched);
  if (width >= HOLES_FROM_PX) {
    paintPull(brush, run, dx, dy);
    paintHoles(brush, run, dx, dy);
  }
  const isLitAbove = dx * LIGHT_Y - dy * LIGHT_X < 0;
  const threads = (tones.strands ?? [tones]).map(
    (look) => new StrandBrush(brush, look, toneOf(dx, dy), strand * OVERLAP[look.twist], isLitAbove),
  );
  for (let i = 0; i < shown; i++) {
    const thread = threads[i % threads.length]!;
    const out = (i + 0.5) * strand - width / 2;
    const place = (along: number, share: number): [number, number] => [
      x0 + dx * along - dy * out * share,
      y0 + dy * along + dx * out * share,
    ];
    let [px, py] = place(strand * 0.3, PINCH);
    let from = strand * 0.3;
    for (const [along, share] of STRAND_SHAPE) {
      const to = along <= 0.5 ? along * 2 * pinched : length - (1 - along) * 2 * pinched;
      const [qx, qy] = place(Math.max(from, Math.min(to, length - strand * 0.3)), PINCH + (1 - PINCH) * share);
      thread.stroke({ x0: px, y0: py, x1: qx, y1: qy }, from + i * strand * 0.7);
      [px, py, from] = [qx, qy, Math.max(from, to)];
    }
  }
  brush.lineCap = 'butt';
  if (tones.twist === 'wool') paintHalo(brush, run, dx, dy, tones);
  if (isRaised) shadeSlopes(brush, run);
}

/** Fibres of wool stand off on all sides, each its own way. */
function paintHalo(brush: Brush, { x0, y0, x1, y1, width }: Run, dx: number, dy: number, tones: ThreadLook): void {
  const length = Math.hypot(x1 - x0, y1 - y0);
  const count = Math.min(160, Math.round((length / width) * HAIRS));
  brush.lineWidth = Math.max(0.6, width * 0.025);
  brush.strokeStyle = tones.body[TONE_STEPS - 2]!;
  brush.globalAlpha = 0.5;
  brush.beginPath();
  for (let k = 0; k < count; k++) {
    // The same hairs at every size: by where the run lies and their number.
    const one = fraction(Math.sin((k + 1) * 12.9898 + dx * 78.233) * 43758.5453);
    const other = fraction(Math.sin((k + 1) * 39.3468 + dy * 11.135) * 24634.6345);
    const along = length * ((k + one) / count);
    const side = other < 0.5 ? -1 : 1;
    const [px, py] = [x0 + dx * along - dy * side * width * 0.34, y0 + dy * along + dx * side * width * 0.34];
    const [out, on] = [width * (0.14 + 0.26 * one) * side, width * (0.9 * other - 0.45)];
    brush.moveTo(px, py);
    brush.quadraticCurveTo(
      px - dy * out + dx * on * 0.3,
      py + dx * out + dy * on * 0.3,
      px - dy * out + dx * on,
      py + dx * out + dy * on,
    );
  }
  brush.stroke();
  brush.globalAlpha = 1;
}

/** The hairs that stand off a length of one width. */
const HAIRS = 8;
const fraction = (value: number): number => value - Math.floor(value);

/** Over padding a run falls away to either end, out of the light. */
function shadeSlopes(brush: Brush, { x0, y0, x1, y1, width }: Run): void {
  brush.lineWidth = width * 0.92;
  for (const [share, depth] of SLOPES) {
    brush.strokeStyle = `rgba(24, 16, 8, ${depth})`;
    brush.beginPath();
    brush.moveTo(x0, y0);
    brush.lineTo(x0 + (x1 - x0) * share, y0 + (y1 - y0) * share);
    brush.moveTo(x1, y1);
    brush.lineTo(x1 - (x1 - x0) * share, y1 - (y1 - y0) * share);
    brush.stroke();
  }
}

/** How far up a slope its shade reaches, and how deep it is, laid over each other. */
const SLOPES: readonly (readonly [share: number, depth: number])[] = [
  [0.26, 0.07],
  [0.16, 0.08],
  [0.08, 0.1],
];

/**
 * How a strand opens out from its hole and closes again: places along it (up to a half from the one hole, from there on
 * from the other) and how far it is out there.
 */
const STRAND_SHAPE: readonly (readonly [along: number, share: number])[] = [
  [0.15, 0.55],
  [0.3, 0.88],
  [0.5, 1],
  [0.501, 1],
  [0.7, 0.88],
  [0.85, 0.55],
  [1, 0],
];

/** Thread this wide on screen is seen to go through the cloth, px. */
const HOLES_FROM_PX = 11;

/** Where thread dives into the cloth the needle left a hole a little wider than it, dark towards the light. */
function paintHoles(brush: Brush, { x0, y0, x1, y1, width }: Run, dx: number, dy: number): void {
  brush.fillStyle = 'rgba(26, 18, 10, 0.3)';
  brush.beginPath();
  for (const [x, y, way] of [
    [x0, y0, -1],
    [x1, y1, 1],
  ] as const) {
    const [hx, hy] = [x + dx * way * width * 0.06, y + dy * way * width * 0.06];
    brush.moveTo(hx + width * 0.36, hy);
    brush.ellipse(hx, hy, width * 0.36, width * 0.3, 0, 0, 2 * Math.PI);
  }
  brush.fill();
}

/** A pull in the cloth reaches so far beyond a hole, and is so wide there, in widths. */
const PULL = { reach: 0.85, half: 0.3 } as const;

/** Thread draws the cloth towards itself: beyond each hole it stands up in a little ridge, lit on one side. */
function paintPull(brush: Brush, { x0, y0, x1, y1, width }: Run, dx: number, dy: number): void {
  const [reach, half] = [width * PULL.reach, width * PULL.half];
  // The side that faces the light.
  const lit = -dy * LIGHT_X + dx * LIGHT_Y > 0 ? 1 : -1;
  for (const [style, side] of [
    ['rgba(26, 18, 10, 0.09)', -lit],
    ['rgba(255, 255, 255, 0.2)', lit],
  ] as const) {
    brush.fillStyle = style;
    brush.beginPath();
    for (const [x, y, way] of [
      [x0, y0, -1],
      [x1, y1, 1],
    ] as const) {
      brush.moveTo(x, y);
      brush.quadraticCurveTo(
        x + dx * way * reach * 0.4 - dy * side * half,
        y + dy * way * reach * 0.4 + dx * side * half,
        x + dx * way * reach,
        y + dy * way * reach,
      );
    }
    brush.fill();
  }
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

/** Thread this wide on screen is seen to end in a round, px. */
export const ROUND_FROM_PX = 4;
/** Loops this wide on screen have a line of light along them, px. */
const LOOP_SHEEN_FROM_PX = 4.4;

/** A held loop: a curve through points in pixels, painted as one thread. */
export function paintLoop(
  brush: Brush,
  points: readonly number[],
  width: number,
  strands: number,
  tones: ThreadLook,
): void {
  if (width >= STRANDS_FROM_PX) return paintLoopStrands(brush, points, width, strands, tones);
  const trace = (shiftX: number, shiftY: number): void => {
    brush.beginPath();
    brush.moveTo(points[0]! + shiftX, points[1]! + shiftY);
    if (points.length < 6) brush.lineTo(points[2]! + shiftX, points[3]! + shiftY);
    for (let i = 2; i + 3 < points.length; i += 2) {
      const isLast = i + 5 > points.length;
      const ex = isLast ? points[i + 2]! : (points[i]! + points[i + 2]!) / 2;
      const ey = isLast ? points[i + 3]! : (points[i + 1]! + points[i + 3]!) / 2;
      brush.quadraticCurveTo(points[i]! + shiftX, points[i + 1]! + shiftY, ex + shiftX, ey + shiftY);
    }
    brush.stroke();
  };
  brush.lineJoin = 'round';
  if (width >= ROUND_FROM_PX) brush.lineCap = 'round';
  if (width > 1.3) {
    brush.strokeStyle = tones.edge;
    brush.lineWidth = width;
    trace(0, 0);
  }
  const middle = toneOf(points[points.length - 2]! - points[0]! || 1, points[points.length - 1]! - points[1]!);
  brush.strokeStyle = tones.body[Math.max(1, Math.min(middle, TONE_STEPS - 2))]!;
  brush.lineWidth = width > 1.3 ? width * 0.8 : Math.max(width, 0.7);
  trace(0, 0);
  if (width > LOOP_SHEEN_FROM_PX) {
    brush.strokeStyle = tones.body[TONE_STEPS - 1]!;
    brush.lineWidth = width * 0.3;
    trace(LIGHT_X * width * 0.16, LIGHT_Y * width * 0.16);
  }
  brush.lineCap = 'butt';
}

/** A loop seen close: its strands follow the curve side by side. */
function paintLoopStrands(
  brush: Brush,
  points: readonly number[],
  width: number,
  strands: number,
  tones: ThreadLook,
): void {
  const curve = smoothed(points);
  const shown = Math.min(strands, 6);
  const strand = width / shown;
  brush.lineCap = 'round';
  brush.lineJoin = 'round';
  brush.strokeStyle = 'rgba(30, 22, 12, 0.22)';
  brush.lineWidth = width;
  brush.beginPath();
  for (let i = 0; i < curve.length; i += 2) {
    brush.lineTo(curve[i]! - LIGHT_X * width * 0.16, curve[i + 1]! - LIGHT_Y * width * 0.16);
  }
  brush.stroke();
  for (let k = 0; k < shown; k++) {
    const out = (k + 0.5) * strand - width / 2;
    let along = k * strand * 0.7;
    for (let i = 2; i < curve.length; i += 2) {
      const [ax, ay, bx, by] = [curve[i - 2]!, curve[i - 1]!, curve[i]!, curve[i + 1]!];
      const length = Math.hypot(bx - ax, by - ay);
      if (length < 0.01) continue;
      const [dx, dy] = [(bx - ax) / length, (by - ay) / length];
      const isLitAbove = dx * LIGHT_Y - dy * LIGHT_X < 0;
      const look = tones.strands?.[k % tones.strands.length] ?? tones;
      const thread = new StrandBrush(brush, look, toneOf(dx, dy), strand * OVERLAP[look.twist], isLitAbove);
      const [nx, ny] = [-dy * out, dx * out];
      thread.stroke({ x0: ax + nx, y0: ay + ny, x1: bx + nx, y1: by + ny }, along);
      along += length;
    }
  }
  brush.lineCap = 'butt';
}

const PIECES_PER_CURVE = 5;

/** Points on the quadratic curves between the middles of a polyline's edges. */
function smoothed(points: readonly number[]): number[] {
  if (points.length < 6) return [...points];
  const curve = [points[0]!, points[1]!];
  for (let i = 2; i + 3 < points.length; i += 2) {
    const [sx, sy] = [curve.at(-2)!, curve.at(-1)!];
    const isLast = i + 5 > points.length;
    const ex = isLast ? points[i + 2]! : (points[i]! + points[i + 2]!) / 2;
    const ey = isLast ? points[i + 3]! : (points[i + 1]! + points[i + 3]!) / 2;
    for (let k = 1; k <= PIECES_PER_CURVE; k++) {
      const t = k / PIECES_PER_CURVE;
      const [a, b, c] = [(1 - t) ** 2, 2 * t * (1 - t), t * t];
      curve.push(a * sx + b * points[i]! + c * ex, a * sy + b * points[i + 1]! + c * ey);
    }
  }
  return curve;
}
