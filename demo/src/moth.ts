import { plainHoop, plainScrap, USUAL_FINISH, type Part, type Piece, type Scrap } from '@junctura/core/piece';
import { area, dots, drawing, group, line, pieceOf, worked } from './draw.ts';

const MOON = '#e9dfae';
const LEAF = '#6f8a4e';
const VEIN = '#3f5a35';
const WING = '#b79a7c';
const HIND = '#d8b98f';
const BODY = '#5a4234';
const MARK = '#f2e6cc';

/** An oak leaf, its lobes round, its stalk to the left. */
const OAK =
  'M-30 26C-27 22 -25 20 -22 20C-25 15 -21 9 -15 10C-16 3 -9 0 -4 3C-4 -4 4 -8 9 -4C9 -11 18 -15 22 -10C26 -16 33 -14 33 -8C38 -4 35 3 29 4C31 10 25 15 19 13C18 20 10 22 5 18C2 24 -7 25 -10 20C-14 25 -20 26 -23 24C-25 26 -27 28 -30 26Z';

/** A moth spread before a printed moon, over an oak leaf: wings and leaf are scraps of cloth. */
export function mothSvg(): string {
  const forewing = (side: number): string =>
    `M${side} -9C${side * 10} -24 ${side * 27} -29 ${side * 39} -25C${side * 41} -15 ${side * 33} -4 ${side * 21} 1C${side * 12} 4 ${side * 5} 4 ${side * 2} 2Z`;
  const hindwing = (side: number): string =>
    `M${side * 2} 1C${side * 10} 0 ${side * 22} -1 ${side * 26} 5C${side * 28} 13 ${side * 19} 21 ${side * 11} 18C${side * 5} 15 ${side * 2.6} 9 ${side * 2} 1Z`;
  const band = (side: number): string => `M${side * 31} -24.4C${side * 28} -19 ${side * 29} -13 ${side * 25} -3`;
  const feeler = (side: number): string => `M${side * 0.8} -11.6C${side * 2} -20 ${side * 7} -26 ${side * 14} -29`;
  return drawing('Moth on oak leaf', 100, [
    area('moon', 'M-25 -12A25 25 0 1 1 25 -12A25 25 0 1 1 -25 -12Z', MOON),
    group('translate(-1 22) scale(1.04)', area('oak-leaf', OAK, LEAF)),
    group(
      'translate(-1 22) scale(1.04)',
      line('stalk', 'M-37 30L-30 26L-12 15L8 5L30 -7', VEIN, 1.1),
      line('side-veins', 'M-20 20L-15 11M-10 14L-6 4M-7 12L-2 20M6 6L16 13M18 0L27 4', VEIN, 0.6),
    ),
    area('left-hind-wing', hindwing(-1), HIND),
    area('right-hind-wing', hindwing(1), HIND),
    area('left-wing', forewing(-1), WING),
    area('right-wing', forewing(1), WING),
    line('left-band', band(-1), MARK, 0.9),
    line('right-band', band(1), MARK, 0.9),
    area('left-eye', 'M-20.6 -13A3 3 0 1 1 -14.6 -13A3 3 0 1 1 -20.6 -13Z', MARK),
    area('right-eye', 'M14.6 -13A3 3 0 1 1 20.6 -13A3 3 0 1 1 14.6 -13Z', MARK),
    dots(
      'pupils',
      [
        [-17.6, -13],
        [17.6, -13],
      ],
      BODY,
    ),
    area('body', 'M0 -12C3.6 -10 3.8 -2 3 8C2.4 14 1 19 0 20C-1 19 -2.4 14 -3 8C-3.8 -2 -3.6 -10 0 -12Z', BODY),
    line('left-feeler', feeler(-1), BODY, 0.6),
    line('right-feeler', feeler(1), BODY, 0.6),
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
