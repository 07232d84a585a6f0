import { channelsOf, TONE_STEPS } from '@junctura/core/colour';
import { seededRandom } from '@junctura/core/measure';
import type { Brush } from './brush.ts';
import type { ThreadLook } from './threadLook.ts';

/** A strand seen close: tiles are drawn this thick and scaled to what is wanted. */
const SIZES_PX = [8, 12, 18, 27, 40, 60] as const;

interface Twist {
  /** Turns of it in one tile, so that its fibres do not repeat too soon. */
  readonly turns: number;
  /** The length of one turn of the two plies, in strand widths. */
  readonly pitch: number;
  /** How far a ply leans along the strand from one side to the other, in turns. */
  readonly lean: number;
  /** How deep the groove between plies is, and how far they stand up. */
  readonly groove: number;
  readonly ridge: number;
  /** Fibres of a ply that are seen, and how unlike each other they are. */
  readonly fibres: number;
  readonly fibre: number;
  /** How round the strand is: what lies flat has the light over most of its width. */
  readonly round: number;
}

/** How threads lie: floss flat and nearly without twist, plied thread as a cord, wool soft and uneven. */
const TWISTS: Readonly<Record<ThreadLook['twist'], Twist>> = {
  floss: { turns: 2, pitch: 5.2, lean: 0.16, groove: 0.16, ridge: 0.06, fibres: 40, fibre: 0.62, round: 0.62 },
  plied: { turns: 5, pitch: 1.7, lean: 0.42, groove: 0.82, ridge: 0.2, fibres: 11, fibre: 0.16, round: 1 },
  wool: { turns: 3, pitch: 3, lean: 0.34, groove: 0.34, ridge: 0.08, fibres: 20, fibre: 0.5, round: 0.85 },
};

/** How bright a place of a strand is, and whether it lies in the groove between plies. */
interface Shading {
  readonly light: number;
  readonly groove: number;
}

/** @param across from −1 on the side in shade to 1 on the lit side */
function shadingAt(across: number, turns: number, fibre: number, twist: Twist): Shading {
  const round = Math.max(0, 1 - across * across) ** (0.5 * twist.round);
  const ply = (((turns + across * twist.lean) % 1) + 1) % 1;
  // Two plies to a turn: each a ridge that sinks into a groove at both its sides.
  const ridge = Math.sin(Math.PI * ((ply * 2) % 1)) ** 0.55;
  const facing = 0.5 + 0.5 * across * 0.75 + twist.ridge * (ridge - 0.5);
  return { light: round * (0.42 + 0.58 * facing) + fibre, groove: (1 - ridge) * twist.groove + (1 - round) ** 2 };
}

const tiles = new WeakMap<ThreadLook, Map<string, OffscreenCanvas>>();

function tileOf(tones: ThreadLook, tone: number, px: number): OffscreenCanvas {
  const known = tiles.get(tones) ?? new Map<string, OffscreenCanvas>();
  tiles.set(tones, known);
  const key = `${tone}@${px}`;
  const tile = known.get(key) ?? drawTile(tones, tone, px);
  known.set(key, tile);
  return tile;
}

function drawTile(tones: ThreadLook, tone: number, height: number): OffscreenCanvas {
  const twist = TWISTS[tones.twist];
  const width = Math.round(height * twist.pitch * twist.turns);
  const tile = new OffscreenCanvas(width, height);
  const brush = tile.getContext('2d')!;
  const image = brush.createImageData(width, height);
  const random = seededRandom(11);
  const fibres = Array.from({ length: twist.fibres * 2 * twist.turns }, () => random.between(-0.5, 0.5));
  const [edge, body, bright, glint] = [
    tones.edge,
    tones.body[tone]!,
    tones.body[Math.min(TONE_STEPS - 1, tone + 3)]!,
    tones.glint,
  ].map(channelsOf);
  for (let y = 0; y < height; y++) {
    const across = 1 - (2 * (y + 0.5)) / height;
    for (let x = 0; x < width; x++) {
      const turns = (x / width) * twist.turns;
      // Fibres run along the plies: the same one along a line of constant lean.
      const lane =
        ((((turns + across * twist.lean) * 2 * twist.fibres) % fibres.length) + fibres.length) % fibres.length;
      const between = lane - Math.floor(lane);
      const fibre =
        twist.fibre *
        (fibres[Math.floor(lane)]! * (1 - between) + fibres[(Math.floor(lane) + 1) % fibres.length]! * between);
      const { light, groove } = shadingAt(across, turns, fibre, twist);
      const dark = Math.min(0.9, Math.max(0, groove * 0.62 + (light < 0.4 ? 0.4 - light : 0)));
      const lit = Math.min(1, Math.max(0, (light - 0.55) * 2.1));
      const shine = Math.min(0.7, Math.max(0, (light - 0.84) * 2.4)) * (tone / TONE_STEPS) * Math.min(1, tones.lustre);
      const at = 4 * (y * width + x);
      for (let c = 0; c < 3; c++) {
        let value = body![c]! + (bright![c]! - body![c]!) * lit;
        value += (edge![c]! - value) * dark;
        value += (glint![c]! - value) * shine;
        image.data[at + c] = value;
      }
      image.data[at + 3] = 255;
    }
  }
  brush.putImageData(image, 0, 0);
  return tile;
}

/** A straight piece of one strand, in pixels. */
export interface StrandPiece {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

/** Strokes pieces of strand of one thickness and tone with twisted thread. */
export class StrandBrush {
  private readonly pattern: CanvasPattern;
  private readonly tilePx: number;

  /** @param isLitAbove whether the side that faces the light is to the left of the way the strand runs */
  constructor(
    private readonly brush: Brush,
    tones: ThreadLook,
    tone: number,
    private readonly thicknessPx: number,
    private readonly isLitAbove: boolean,
  ) {
    this.tilePx = SIZES_PX.find((px) => px >= thicknessPx) ?? SIZES_PX.at(-1)!;
    this.pattern = brush.createPattern(tileOf(tones, tone, this.tilePx), 'repeat')!;
  }

  /** @param along how far along the strand the piece begins, so that the twist goes on, px */
  stroke({ x0, y0, x1, y1 }: StrandPiece, along: number): void {
    const length = Math.hypot(x1 - x0, y1 - y0);
    if (length === 0) return;
    const scale = this.thicknessPx / this.tilePx;
    const [cos, sin] = [(x1 - x0) / length, (y1 - y0) / length];
    const flip = this.isLitAbove ? 1 : -1;
    // Tile x runs along the strand, tile y across it with its middle on the line.
    const half = (flip * this.thicknessPx) / 2;
    const [ox, oy] = [x0 - cos * along + sin * half, y0 - sin * along - cos * half];
    this.pattern.setTransform(
      new DOMMatrix([cos * scale, sin * scale, -sin * scale * flip, cos * scale * flip, ox, oy]),
    );
    this.brush.strokeStyle = this.pattern;
    this.brush.lineWidth = this.thicknessPx;
    this.brush.beginPath();
    this.brush.moveTo(x0, y0);
    this.brush.lineTo(x1, y1);
    this.brush.stroke();
  }
}
