import { plainHoop, plainScrap, USUAL_FINISH, type Part, type Piece, type Scrap } from '@junctura/core/piece';
import { area, dots, drawing, line, pieceOf, worked } from './draw.ts';

const MOON = '#e9dfae';
const LEAF = '#6f8a4e';
const VEIN = '#3f5a35';
const WING = '#b79a7c';
const HIND = '#d8b98f';
const BODY = '#5a4234';
const MARK = '#f2e6cc';

/** An oak leaf, its lobes round. */
const OAK =
  'M-30 26C-27 22 -25 20 -22 20C-25 15 -21 9 -15 10C-16 3 -9 0 -4 3C-4 -4 4 -8 9 -4C9 -11 18 -15 22 -10C26 -16 33 -14 33 -8C38 -4 35 3 29 4C31 10 25 15 19 13C18 20 10 22 5 18C2 24 -7 25 -10 20C-14 25 -20 26 -23 24C-25 26 -27 28 -30 26Z';

/** A moth at rest on an oak leaf before a printed moon: wings and leaf are scraps of cloth. */
export function mothSvg(): string {
  return drawing('Moth on oak leaf', 90, [
    area('moon', 'M-6 -20A17 17 0 1 1 28 -20A17 17 0 1 1 -6 -20Z', MOON),
    area('oak-leaf', OAK, LEAF),
    line('stalk', 'M-39 33L-30 26L-12 15L8 5L30 -7', VEIN, 1.1),
    line('side-veins', 'M-20 20L-15 11M-10 14L-6 4M2 8L9 -3M-7 12L-2 20M6 6L16 13M18 0L27 4', VEIN, 0.6),
    area('left-hind-wing', 'M-2 -2C-12 0 -18 8 -14 15C-8 17 -2 10 0 4Z', HIND),
    area('right-hind-wing', 'M2 -2C12 0 18 8 14 15C8 17 2 10 0 4Z', HIND),
    area('left-wing', 'M-1 -9C-10 -16 -25 -14 -28 -6C-26 3 -14 6 -2 2Z', WING),
    area('right-wing', 'M1 -9C10 -16 25 -14 28 -6C26 3 14 6 2 2Z', WING),
    line('left-band', 'M-22 -11C-20 -6 -20 -2 -17 3', MARK, 0.9),
    line('right-band', 'M22 -11C20 -6 20 -2 17 3', MARK, 0.9),
    dots(
      'wing-eyes',
      [
        [-12, -6],
        [12, -6],
      ],
      MARK,
    ),
    area('body', 'M0 -12C3.4 -10 3.6 -2 2.6 6C2 11 0.8 14 0 15C-0.8 14 -2 11 -2.6 6C-3.6 -2 -3.4 -10 0 -12Z', BODY),
    line('left-feeler', 'M-0.8 -11.6C-3 -18 -8 -21 -12 -20', BODY, 0.6),
    line('right-feeler', 'M0.8 -11.6C3 -18 8 -21 12 -20', BODY, 0.6),
  ]);
}

/** What parts are cut from. */
function scrapOf(id: string): Scrap | null {
  if (id === 'oak-leaf') return { ...plainScrap('#76915a'), pattern: 'check', second: '#cfd8ae' };
  if (id.endsWith('hind-wing')) return { ...plainScrap(HIND), pattern: 'stripe', second: '#c59a68' };
  if (id.endsWith('-wing')) return { ...plainScrap(WING), cloth: 'lawn', pattern: 'sprig', second: '#8e6f54' };
  return null;
}

export function mothPiece(): Piece {
  const piece = pieceOf(mothSvg(), 'moth-on-oak-leaf.svg', {
    id: 'demo-moth',
    name: 'Moth on oak leaf',
    change: {
      hoop: plainHoop(125, 12),
      cloth: { kind: 'calico', colour: '#c9d0d6' },
      finish: { ...USUAL_FINISH, end: 'card' },
    },
    shades: {},
    passes: (id) => (id === 'body' ? [worked('satin', 2, { angleDeg: 0 })] : null),
  });
  const parts = piece.drawing.parts.map((part): Part => ({
    ...part,
    scrap: scrapOf(part.id),
    printed: part.id === 'moon',
  }));
  return { ...piece, drawing: { ...piece.drawing, parts } };
}
