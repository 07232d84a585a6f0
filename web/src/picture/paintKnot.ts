import { TONE_STEPS } from '@junctura/core/colour';
import type { Brush } from './brush.ts';
import { LIGHT_X, LIGHT_Y } from './light.ts';
import { paintLoop } from './paintRun.ts';
import type { ThreadLook } from './threadLook.ts';

/** How a knot is wound. */
export interface Knot {
  /** Across it, px. */
  readonly diameter: number;
  readonly wraps: number;
  readonly strands: number;
  /** Which way it is turned, one of {@link KNOT_WAYS}. */
  readonly way: number;
}

/** The ways that knots are turned, each its own: by its place on the cloth, so that it stays as it is however it is looked at. */
const KNOT_WAYS = 9;

/** The way that a knot is turned. @param xMm its place on the cloth */
export function wayOfKnot(xMm: number, yMm: number): number {
  return Math.floor(Math.abs(xMm * 47.3 + yMm * 21.1)) % KNOT_WAYS;
}

/** Knots smaller than this are two lights on a disc, px. */
const PLAIN_BELOW_PX = 8;
/** Knots up to this size are painted once for each way that they are turned, and laid down as they are needed, px. */
const KEPT_UP_TO_PX = 80;
const KEPT = 120;

const painted = new WeakMap<ThreadLook, Map<string, OffscreenCanvas>>();

/** A round knot: a ball of wound thread, its windings running over it in arcs, each knot turned its own way. */
export function paintKnot(brush: Brush, x: number, y: number, knot: Knot, tones: ThreadLook): void {
  const { diameter } = knot;
  if (diameter < PLAIN_BELOW_PX) return paintPlain(brush, x, y, diameter / 2, tones);
  if (diameter > KEPT_UP_TO_PX) return paintWound(brush, x, y, knot, tones);
  const picture = pictureOf(knot, tones);
  brush.drawImage(picture, Math.round(x - picture.width / 2), Math.round(y - picture.height / 2));
}

function pictureOf(knot: Knot, tones: ThreadLook): OffscreenCanvas {
  const known = painted.get(tones) ?? new Map<string, OffscreenCanvas>();
  painted.set(tones, known);
  const key = `${knot.diameter.toFixed(1)} ${knot.wraps} ${knot.strands} ${knot.way}`;
  const kept = known.get(key);
  if (kept) return kept;
  const size = 2 * Math.ceil(knot.diameter * 0.75);
  const picture = new OffscreenCanvas(size, size);
  paintWound(picture.getContext('2d')!, size / 2, size / 2, knot, tones);
  if (known.size >= KEPT) known.delete(known.keys().next().value!);
  known.set(key, picture);
  return picture;
}

function paintPlain(brush: Brush, x: number, y: number, r: number, tones: ThreadLook): void {
  paintShade(brush, x, y, r);
  disc(brush, x, y, r, tones.edge);
  disc(brush, x + LIGHT_X * r * 0.06, y + LIGHT_Y * r * 0.06, r * 0.82, tones.body[3]!);
  disc(brush, x + LIGHT_X * r * 0.25, y + LIGHT_Y * r * 0.25, r * 0.5, tones.body[TONE_STEPS - 1]!);
}

const soft = new WeakMap<ThreadLook, ThreadLook>();

/** Wound so tightly thread turns to the light less than on the cloth: with all its sheen it would look turned from metal. */
function softened(tones: ThreadLook): ThreadLook {
  const known = soft.get(tones);
  if (known) return known;
  const body = tones.body.map((_, i) => tones.body[SOFT.from + Math.round((i * SOFT.steps) / (TONE_STEPS - 1))]!);
  const look = { ...tones, body, glint: tones.body[TONE_STEPS - 1]!, strands: tones.strands?.map(softened) ?? null };
  soft.set(tones, look);
  return look;
}

const SOFT = { from: 2, steps: 3 } as const;

/** The thread itself, wound round and in to the dimple; later windings lie on earlier ones. */
function paintWound(
  brush: Brush,
  x: number,
  y: number,
  { diameter, wraps, strands, way }: Knot,
  tones: ThreadLook,
): void {
  const r = diameter / 2;
  const calm = softened(tones);
  paintShade(brush, x, y, r);
  disc(brush, x, y, r * 0.9, tones.edge);
  const turn = (way * 2 * Math.PI) / KNOT_WAYS;
  const windings = Math.min(3, Math.max(1, wraps)) + 0.4;
  const arcs = Math.ceil(windings * 3);
  const width = r * (windings > 2 ? 0.52 : 0.64);
  const place = (share: number): [number, number] => {
    const angle = turn + share * windings * 2 * Math.PI;
    const out = r * (0.68 - 0.42 * share);
    return [x + out * Math.cos(angle), y + out * Math.sin(angle)];
  };
  for (let k = 0; k < arcs; k++) {
    const points = [0, 0.25, 0.5, 0.75, 1, 1.12].flatMap((part) => place(Math.min(1, (k + part) / arcs)));
    brush.strokeStyle = tones.edge;
    brush.lineWidth = width * 1.1;
    brush.beginPath();
    for (let i = 0; i < 10; i += 2) brush.lineTo(points[i]!, points[i + 1]!);
    brush.stroke();
    paintLoop(brush, points, width, Math.min(strands, 3), calm);
  }
  disc(brush, x - LIGHT_X * r * 0.04, y - LIGHT_Y * r * 0.04, r * 0.13, tones.edge);
}

/** On the side away from the light. */
function paintShade(brush: Brush, x: number, y: number, r: number): void {
  disc(brush, x - LIGHT_X * r * 0.24, y - LIGHT_Y * r * 0.24, r * 1.04, 'rgba(30, 22, 12, 0.28)');
}

function disc(brush: Brush, x: number, y: number, r: number, style: string): void {
  brush.fillStyle = style;
  brush.beginPath();
  brush.arc(x, y, r, 0, 2 * Math.PI);
  brush.fill();
}
