import { plainHoop, USUAL_FINISH, type Part, type Piece } from '@junctura/core/piece';
import { area, dots, drawing, group, line, pieceOf, worked } from './draw.ts';

/** Three small pieces that end in three ways: on a shirt, as a patch that is ironed on, left in the hoop. */

const RED = '#b5302d';
const INK = '#2b2f3a';
const GREEN = '#4f7a43';
const STEM = '#6f8f4e';
const BUTTER = '#f0d68a';
const CREAM = '#f4ead2';
const SLATE = '#5c6a80';
const BLUE = '#2d4470';
const SKY = '#8fb0c4';

/** A ladybird about its middle, walking up. */
function ladybird(n: number, transform: string): string {
  return group(
    transform,
    line(
      `legs-${n}`,
      'M-6.4 -2.6L-10 -4.6M-7.2 2.4H-11M-6.4 6.6L-9.8 9.4M6.4 -2.6L10 -4.6M7.2 2.4H11M6.4 6.6L9.8 9.4',
      INK,
      0.8,
    ),
    line(`feelers-${n}`, 'M-1.6 -10.4C-2.4 -13.4 -4 -14.2 -5 -14.4M1.6 -10.4C2.4 -13.4 4 -14.2 5 -14.4', INK, 0.7),
    area(`head-${n}`, 'M-4.6 -7C-4.6 -12.4 4.6 -12.4 4.6 -7Z', INK),
    area(`left-wing-${n}`, 'M-0.4 -5.9V11.4C-5.4 11.4 -8 7 -8 2.6C-8 -2.4 -4.8 -5.7 -0.4 -5.9Z', RED),
    area(`right-wing-${n}`, 'M0.4 -5.9V11.4C5.4 11.4 8 7 8 2.6C8 -2.4 4.8 -5.7 0.4 -5.9Z', RED),
    dots(
      `spots-${n}`,
      [
        [-3.8, -1.4],
        [-5, 3.8],
        [-2.8, 7.6],
        [3.8, -1.4],
        [5, 3.8],
        [2.8, 7.6],
      ],
      INK,
    ),
  );
}

/** Two ladybirds on a grass that bends, for a child's shirt. */
export function ladybirdsSvg(): string {
  return drawing('Ladybirds', 90, [
    line('long-grass', 'M-34 30C-18 26 4 12 16 -30', GREEN, 1.6),
    line('short-grass', 'M-16 33C-4 28 14 20 30 -4', STEM, 1.6),
    line('low-grass', 'M-4 34C8 32 20 28 34 14', GREEN, 1.4),
    ladybird(1, 'translate(-2 4) rotate(42) scale(1.15)'),
    ladybird(2, 'translate(24 -16) rotate(-24) scale(0.9)'),
  ]);
}

export function ladybirdsPiece(): Piece {
  const piece = pieceOf(ladybirdsSvg(), 'ladybirds.svg', {
    id: 'demo-ladybirds',
    name: 'Ladybirds on a shirt',
    change: {
      use: 'worn',
      cloth: { kind: 'jersey', colour: '#cfdbe0' },
      // It is fitted to a hoop's size, and held in the hand.
      hoop: plainHoop(125, 18),
      mark: 'film',
      finish: { ...USUAL_FINISH, end: 'garment' },
    },
    shades: {},
    passes: (id): Part['passes'] => {
      if (id.includes('wing')) return [worked('split-fill', 2, { angleDeg: 90 })];
      if (id.includes('grass')) return [worked('stem', 2)];
      return id.startsWith('legs') || id.startsWith('feelers') ? [worked('back', 1)] : null;
    },
  });
  return { ...piece, hoop: null };
}

/** A strawberry with its leaves and seeds. */
export function strawberrySvg(): string {
  return drawing('Strawberry', 60, [
    line('stalk', 'M0 -15C0 -19 1.4 -22 4 -24', STEM, 1.6),
    area('fruit', 'M-19 -8C-19 -15 -9 -17 0 -14.4C9 -17 19 -15 19 -8C19 4 8.4 17 0 24C-8.4 17 -19 4 -19 -8Z', RED),
    area('left-leaf', 'M-0.6 -14.6C-6 -20 -13 -18.6 -16.4 -13C-11 -9.6 -5 -10 -0.6 -14.6Z', GREEN),
    area('right-leaf', 'M0.6 -14.6C6 -20 13 -18.6 16.4 -13C11 -9.6 5 -10 0.6 -14.6Z', GREEN),
    area('middle-leaf', 'M0 -12.6C-3.4 -9.4 -3.2 -5.4 0 -2.4C3.2 -5.4 3.4 -9.4 0 -12.6Z', STEM),
    dots(
      'seeds',
      [
        [-12, -4],
        [-6, 2],
        [6, 2],
        [12, -4],
        [0, 6],
        [-8, 9],
        [8, 9],
        [0, 14.6],
      ],
      BUTTER,
    ),
  ]);
}

export function strawberryPiece(): Piece {
  return pieceOf(strawberrySvg(), 'strawberry.svg', {
    id: 'demo-strawberry',
    name: 'Strawberry patch',
    change: {
      use: 'patch',
      cloth: { kind: 'calico', colour: '#efe6d2' },
      hoop: plainHoop(125, 30),
      mark: 'heat-pen',
      finish: { ...USUAL_FINISH, end: 'patch', attached: 'ironed', borderMm: 5, cornerMm: 14, edge: 'buttonhole' },
    },
    shades: {},
    passes: (id): Part['passes'] => {
      if (id === 'fruit') return [worked('split-fill', 2, { angleDeg: 90 })];
      return id.endsWith('leaf')
        ? [worked('satin', 2, id === 'middle-leaf' ? {} : { angleDeg: id === 'left-leaf' ? 60 : 120 })]
        : null;
    },
  });
}

/** A lighthouse on its rock, its beams over the sea. */
export function lighthouseSvg(): string {
  return drawing('Lighthouse', 80, [
    line('beams', 'M9 -17L28 -24M9 -13.4L31 -11M-9 -17L-28 -24M-9 -13.4L-31 -11', BUTTER, 0.9),
    area('tower', 'M-8 -9H8L13 24H-13Z', CREAM),
    area('upper-band', 'M-8.9 -3H8.9L10.4 7H-10.4Z', RED),
    area('lower-band', 'M-11.3 13H11.3L12.5 21H-12.5Z', RED),
    area('lamp', 'M-6 -19H6V-9H-6Z', BUTTER),
    area('roof', 'M-8 -19L0 -28L8 -19Z', BLUE),
    area('rock', 'M-22 24C-14 20 14 20 22 24L26 30H-26Z', SLATE),
    line(
      'sea',
      'M-30 33C-26 31 -22 35 -18 33C-14 31 -10 35 -6 33C-2 31 2 35 6 33C10 31 14 35 18 33C22 31 26 35 30 33',
      SKY,
      0.9,
    ),
  ]);
}

export function lighthousePiece(): Piece {
  return pieceOf(lighthouseSvg(), 'lighthouse.svg', {
    id: 'demo-lighthouse',
    name: 'Lighthouse',
    change: {
      use: 'framed',
      cloth: { kind: 'fine-linen', colour: '#d7e0de' },
      hoop: plainHoop(125, 14),
      mark: 'heat-pen',
      finish: { ...USUAL_FINISH, end: 'framed', mounting: 'left-in', disc: 'none' },
    },
    shades: {},
    passes: (id): Part['passes'] => {
      if (id === 'rock' || id === 'tower') return [worked('split-fill', 2, { angleDeg: id === 'rock' ? 0 : 90 })];
      if (id.endsWith('band')) return [worked('split-fill', 2, { angleDeg: 0 })];
      return id === 'sea' || id === 'beams' ? [worked(id === 'sea' ? 'stem' : 'running', 2)] : null;
    },
  });
}
