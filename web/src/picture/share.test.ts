import { createCanvas, type Canvas } from '@napi-rs/canvas';
import { Planner, type Workings } from '@junctura/core/advice';
import { channelsOf } from '@junctura/core/colour';
import { innerHalvesMm } from '@junctura/core/materials';
import { plainHoop, readPiece, type Piece } from '@junctura/core/piece';
import { USUAL_FACTORS } from '@junctura/core/work';
import { readFileSync } from 'node:fs';
import { beforeAll, describe, expect, it } from 'vitest';
import { withCanvas } from '../testing/canvas.ts';
import type { Brush } from './brush.ts';
import { CARD_SIZES, paintCard, type CardShape } from './shareCard.ts';
import { paintShown, RING_TONES, viewOfAll, WOOD, type Showing } from './shownPiece.ts';

const SIDE = 400;
let piece: Piece;
let workings: Workings;

beforeAll(() => {
  withCanvas();
  const read = readPiece(readFileSync(new URL('../../../demo/pieces/kite.junctura.json', import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.problem);
  piece = { ...read.value, hoop: plainHoop(150, 12), positions: [] };
  workings = new Planner().plan(piece, USUAL_FACTORS);
});

const brushOf = (canvas: Canvas): Brush => canvas.getContext('2d') as unknown as Brush;
const pixelsOf = (canvas: Canvas): Uint8ClampedArray =>
  canvas.getContext('2d').getImageData(0, 0, canvas.width, canvas.height).data as unknown as Uint8ClampedArray;

function shown(showing: Showing, own = piece): Uint8ClampedArray {
  const canvas = createCanvas(SIDE, SIDE);
  const size = { width: SIDE, height: SIDE };
  for (const _ of paintShown(brushOf(canvas), own, workings, viewOfAll(own, workings, SIDE, showing), size, showing));
  return pixelsOf(canvas);
}

/** How many pixels of a picture are painted through, of all. */
function opaque(pixels: Uint8ClampedArray): number {
  let count = 0;
  for (let i = 3; i < pixels.length; i += 4) if (pixels[i]! > 250) count++;
  return count / (pixels.length / 4);
}
const isLike = (pixels: Uint8ClampedArray, x: number, y: number, hex: string, within = 12): boolean =>
  channelsOf(hex).every(
    (value, c) => Math.abs(pixels[4 * (Math.round(y) * SIDE + Math.round(x)) + c]! - value) <= within,
  );

describe('a picture to be shown', () => {
  it('has its cloth and no ring, its ring about its cloth, or its stitches alone', () => {
    expect(opaque(shown({ ring: false, cloth: true }))).toBe(1);
    const inRing = opaque(shown({ ring: true, cloth: true }));
    // An ellipse in its square, with the ring about it.
    expect(inRing).toBeGreaterThan(0.7);
    expect(inRing).toBeLessThan(0.95);
    const alone = shown({ ring: false, cloth: false });
    expect(opaque(alone)).toBeGreaterThan(0.03);
    expect(opaque(alone)).toBeLessThan(0.5);
    expect(alone[3]).toBe(0);
  });

  it('shows wood or plastic where the rings are, round and oval, and tape where they are bound', () => {
    for (const hoop of [plainHoop(150, 12), { ...plainHoop(150, 12), shortMm: 110 }]) {
      const own = { ...piece, hoop };
      const showing = { ring: true, cloth: true };
      const { pxPerMm } = viewOfAll(own, workings, SIDE, showing);
      const [a, b] = innerHalvesMm(hoop);
      const ring = Math.max(3.4, a * 0.075);
      const [bare, bound] = [shown(showing, own), shown(showing, { ...own, hoop: { ...hoop, bound: true } })];
      const plastic = shown(showing, { ...own, hoop: { ...hoop, ring: 'plastic' } });
      const out = 0.36 * ring;
      for (const [x, y] of [
        [a + out, 0],
        [-a - out, 0],
        [0, b + out],
      ] as const) {
        const at = [SIDE / 2 + x * pxPerMm, SIDE / 2 + y * pxPerMm] as const;
        expect(isLike(bare, ...at, WOOD.wood, 30)).toBe(true);
        expect(isLike(bound, ...at, WOOD.wood, 30)).toBe(false);
        expect(isLike(plastic, ...at, RING_TONES.plastic.wood, 30)).toBe(true);
      }
    }
  });
});

describe('a card', () => {
  const card = (shape: CardShape, name: string): { pixels: Uint8ClampedArray; canvas: Canvas } => {
    const { width, height } = CARD_SIZES[shape];
    const canvas = createCanvas(width, height);
    const words = { name, lines: ['12 cm', '2,000 stitches', '9 h'], sign: 'x' };
    const sheet = (side: number): { brush: Brush; image: CanvasImageSource } => {
      const image = createCanvas(side, side);
      return { image: image as never, brush: brushOf(image) };
    };
    for (const _ of paintCard(brushOf(canvas), piece, workings, shape, words, sheet));
    return { pixels: pixelsOf(canvas), canvas };
  };

  it.each(['upright', 'across'] as const)('%s has its size, a picture, and words that keep to their room', (shape) => {
    const { width, height } = CARD_SIZES[shape];
    for (const name of [
      'Kite',
      'A very long name that nobody would ever give to a piece of work, and yet somebody did',
    ]) {
      const { pixels } = card(shape, name);
      const ground = pixels.slice(0, 3);
      let [written, bare, atEdge] = [0, 0, 0];
      for (let y = 0; y < height; y++) {
        for (let x = 0; x < width; x++) {
          const at = 4 * (y * width + x);
          if (pixels[at + 3] !== 255) bare++;
          const apart = Math.abs(pixels[at]! - ground[0]!) + Math.abs(pixels[at + 2]! - ground[2]!);
          const isGround = apart < 12;
          if (isGround) continue;
          // Nothing reaches the edge of the card.
          if (Math.min(x, y, width - 1 - x, height - 1 - y) <= 8) atEdge++;
          if (shape === 'upright' ? y > 990 : x > 625) written++;
        }
      }
      expect({ bare, atEdge }).toEqual({ bare: 0, atEdge: 0 });
      expect(written).toBeGreaterThan(1500);
    }
  });
});
