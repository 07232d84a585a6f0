import { plainHoop, type Part, type Piece } from '@junctura/core/piece';
import { area, dots, drawing, group, line, pieceOf, worked } from './draw.ts';

const RED = '#b12f40';
const BLUE = '#325674';

function bow(id: string, x: number, y: number, turn: number): string {
  return group(
    `translate(${x} ${y}) rotate(${turn})`,
    area(`${id}-left`, 'M0 -0.7L-4.6 -2.7C-5.3 -1 -5.3 1 -4.6 2.7L0 0.7Z', RED),
    area(`${id}-right`, 'M0 -0.7L4.6 -2.7C5.3 -1 5.3 1 4.6 2.7L0 0.7Z', RED),
    dots(`${id}-knot`, [[0, 0]], BLUE),
  );
}

/** A first piece: a kite with a tail of bows over curls of wind. Four stitches, two colours, a 100 mm hoop. */
export function kiteSvg(): string {
  return drawing('Kite', 80, [
    line('high-wind', 'M-33 -13C-25 -20 -15 -14 -19 -8C-22 -4 -26 -8 -22 -11', BLUE, 0.8),
    line('low-wind', 'M11 24C18 17 29 20 27 27C25 32 19 30 21 26', BLUE, 0.8),
    line('far-wind', 'M-30 2C-25 -1 -22 3 -17 0', BLUE, 0.8),
    line('tail', 'M1.5 8C-3 14 5 18 1 23C-3 28 -10 21 -15 24C-20 27 -17 32 -24 31', BLUE, 0.9),
    bow('bow-1', 1.6, 17.2, 62),
    bow('bow-2', -7.6, 24.6, -12),
    bow('bow-3', -18.6, 28.3, 70),
    group(
      'translate(8.5 -13) rotate(17) scale(1.12)',
      area('top-left-panel', 'M0 -23L-14 -6L0 -6Z', RED),
      area('top-right-panel', 'M0 -23L14 -6L0 -6Z', BLUE),
      area('lower-left-panel', 'M-14 -6L0 -6L0 20Z', BLUE),
      area('lower-right-panel', 'M14 -6L0 -6L0 20Z', RED),
      line('spar', 'M0 -23L0 20', BLUE, 0.6),
      line('crossbar', 'M-14 -6L14 -6', BLUE, 0.6),
      line('edge-of-the-sail', 'M0 -23L14 -6L0 20L-14 -6Z', BLUE, 0.6),
    ),
  ]);
}

export function kitePiece(): Piece {
  return pieceOf(kiteSvg(), 'kite.svg', {
    id: 'demo-kite',
    name: 'Kite',
    change: { hoop: plainHoop(100, 10) },
    shades: { [RED]: 'rh-41', [BLUE]: 'sl-35' },
    passes: passesOf,
  });
}

function passesOf(id: string): Part['passes'] {
  if (id.endsWith('-wind') || id === 'tail') return [worked('stem', 2, { params: { stitchMm: 3 } })];
  if (!id.endsWith('-panel')) return null;
  const leansRight = id === 'top-left-panel' || id === 'lower-right-panel';
  return [worked('satin', 2, { angleDeg: leansRight ? 30 : -60 })];
}
