import { refOf, shadeOf } from '@junctura/core/materials';
import { newColour, type PaletteColour, type Part, type Piece } from '@junctura/core/piece';
import { area, drawing, group, line, pieceOf, worked } from './draw.ts';

const PINK = '#b93a62';
const BRIGHT = '#cf5f85';
const ROSE = '#e18aa0';
const WHITE = '#f7efe6';
const PALE = '#94ad5e';
const LEAF = '#5c7a3a';
const STRING = '#b98f4d';

function radish(n: number, transform: string): string {
  return group(
    transform,
    line(`root-${n}`, 'M0 17C1.4 22 -1.6 26 0.6 34', ROSE, 1),
    area(
      `bulb-${n}`,
      'M0 -13C10 -14 14 -6 13 1C12 9 6 14 1.5 18C0.5 19 -0.5 19 -1.5 18C-6 14 -12 9 -13 1C-14 -6 -10 -14 0 -13Z',
      PINK,
    ),
  );
}

/** A leaf of a radish: lobes that grow towards its end, on a stalk that runs into the bunch. */
function leaf(n: number, transform: string): string {
  return group(
    transform,
    area(
      `leaf-${n}`,
      'M0 2C-2.4 0.6 -4.6 -2 -3.8 -5C-7 -6.4 -8.6 -9.6 -6.8 -12.6C-10.6 -15 -12 -20 -10 -25C-8 -31 -3.6 -34.6 0 -35C3.6 -34.6 8 -31 10 -25C12 -20 10.6 -15 6.8 -12.6C8.6 -9.6 7 -6.4 3.8 -5C4.6 -2 2.4 0.6 0 2Z',
      LEAF,
    ),
    line(`vein-${n}`, 'M0 -1C-0.6 -9 0.6 -19 0 -29', PALE, 0.9),
    line(`rib-${n}`, 'M-0.3 -9L-4.4 -12.6M0 -15L5.6 -19.6M0.2 -20.5L-5.4 -25.4', PALE, 0.6),
  );
}

/** A bunch of three, for a canvas bag that is washed: no hoop, nothing that snags. */
export function radishesSvg(): string {
  return drawing('Market radishes', 120, [
    line('stalk-1', 'M-14 -0.6C-8 -4 -6 -6 -10.4 -15', PALE, 1.8),
    line('stalk-2', 'M14 -0.6C8 -4 6 -6 10.4 -15', PALE, 1.8),
    line('stalk-3', 'M0 5L0 -19', PALE, 1.8),
    leaf(1, 'translate(-9.6 -13) rotate(-38)'),
    leaf(2, 'translate(9.6 -13) rotate(38)'),
    leaf(3, 'translate(0 -17) scale(1.06)'),
    radish(1, 'translate(-19 11) rotate(24)'),
    radish(2, 'translate(19 11) rotate(-24)'),
    radish(3, 'translate(0 18)'),
    area('string', 'M-7 -6.2C-3 -5.2 3 -5.2 7 -6.2L7.6 -2.4C3 -1.2 -3 -1.2 -7.6 -2.4Z', STRING),
    line('string-end', 'M7 -4.2C11.6 -6.6 14 -3.4 18.4 -5.6M7 -4.2C11 -2 14.4 -3.4 16 0.4', STRING, 1),
  ]);
}

export function radishesPiece(): Piece {
  const piece = pieceOf(radishesSvg(), 'market-radishes.svg', {
    id: 'demo-radishes',
    name: 'Market radishes',
    change: { use: 'washed', cloth: { kind: 'canvas', colour: '#e3d6bb' }, hoop: null, mark: 'cloth-pencil' },
    shades: { [PINK]: 'mw-40', [ROSE]: 'bk-73', [LEAF]: 'sg-48', [STRING]: 'oc-61' },
    passes: passesOf,
  });
  // What is gathered for the bulbs besides the colours as drawn.
  const gathered = (id: string, hex: string, shade: string): PaletteColour =>
    newColour({ id, hex, shade: refOf(shadeOf(shade)!) });
  const palette = [...piece.palette, gathered('bright', BRIGHT, 'mw-52'), gathered('white', WHITE, 'ch-98')];
  const of = (hex: string): string => palette.find((colour) => colour.hex === hex)!.id;
  const shades = [of(PINK), of(BRIGHT), of(ROSE), of(WHITE)];
  const parts = piece.drawing.parts.map((part): Part =>
    part.id.startsWith('bulb')
      ? { ...part, passes: [worked('long-short', 2, { angleDeg: ANGLES[part.id]!, shades })] }
      : part,
  );
  return { ...piece, palette, drawing: { ...piece.drawing, parts } };
}

/** Down each bulb, from its crown to its root, degrees. */
const ANGLES: Readonly<Record<string, number>> = { 'bulb-1': 294, 'bulb-2': 246, 'bulb-3': 270 };

function passesOf(id: string): Part['passes'] {
  if (id.startsWith('leaf')) {
    return [worked('split-fill', 2, { angleDeg: id === 'leaf-1' ? 128 : id === 'leaf-2' ? 52 : 90 })];
  }
  return id.startsWith('stalk') ? [worked('stem', 3)] : null;
}
