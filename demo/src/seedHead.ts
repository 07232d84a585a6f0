import { roundTo } from '@junctura/core/measure';
import { plainHoop, plainPass, USUAL_FINISH, type Pass, type Piece } from '@junctura/core/piece';
import { refOf, shadeOf } from '@junctura/core/materials';
import { area, dots, drawing, group, line, pieceOf } from './draw.ts';

const WHITE = '#f7f3ea';
/** Where the four motifs stand, mm from the middle; the hoop is set over each. */
const QUARTER = 74;
const CORNERS: readonly (readonly [x: number, y: number])[] = [
  [-QUARTER, -QUARTER],
  [QUARTER, -QUARTER],
  [-QUARTER, QUARTER],
  [QUARTER, QUARTER],
];
const RAYS = 16;

/** A seed head on its stem: rays from a raised heart, a knot at the end of each, two leaves. Its stem runs to the lower right. */
function head(n: number): string[] {
  const at = (r: number, k: number): [number, number] => {
    const angle = (2 * Math.PI * k) / RAYS;
    return [roundTo(r * Math.cos(angle), 2), roundTo(r * Math.sin(angle), 2)];
  };
  // Out and in by turns: the thread goes on from each to the next.
  const rays = Array.from({ length: RAYS }, (_, k) => {
    const [[x0, y0], [x1, y1]] = k % 2 ? [at(24, k), at(8, k)] : [at(8, k), at(24, k)];
    return `M${x0} ${y0}L${x1} ${y1}`;
  });
  return [
    line(`stem-${n}`, 'M5 6C12 18 20 30 36 44', WHITE, 1.2),
    area(`leaf-${n}-left`, 'M17 25C10 30 6 38 8 48C16 46 22 38 21 30Z', WHITE),
    area(`leaf-${n}-right`, 'M27 36C34 30 42 30 50 34C46 41 38 44 31 40Z', WHITE),
    line(`rays-${n}`, rays.join(''), WHITE, 0.7),
    dots(
      `seeds-${n}`,
      Array.from({ length: RAYS }, (_, k) => at(27, k)),
      WHITE,
    ),
    area(`heart-${n}`, 'M-5.5 0A5.5 5.5 0 1 1 5.5 0A5.5 5.5 0 1 1 -5.5 0Z', WHITE),
  ];
}

/** Whitework on a cloth of 320 mm: four seed heads, a border that no one hoop holds, no colour at all. */
export function seedHeadSvg(): string {
  return drawing('Seed-head cloth', 320, [
    line('border', 'M-128 -128H128V128H-128Z', WHITE, 1),
    ...CORNERS.map(([x, y], i) =>
      group(`translate(${x} ${y}) rotate(${[0, 90, -90, 180][i]}) scale(0.92)`, ...head(i + 1)),
    ),
  ]);
}

export function seedHeadPiece(): Piece {
  const piece = pieceOf(seedHeadSvg(), 'seed-head-cloth.svg', {
    id: 'demo-seed-head',
    name: 'Seed-head cloth',
    change: { use: 'whitework', cloth: { kind: 'fine-linen', colour: '#e9e3d4' }, mark: 'pencil' },
    shades: {},
    passes: passesOf,
  });
  // Drawn at its true size on the cloth; the hoop is moved over it.
  return {
    ...piece,
    hoop: plainHoop(200, 12),
    positions: CORNERS.map(([x, y]): [number, number] => [x, y]),
    palette: piece.palette.map((colour) => ({ ...colour, shade: refOf(shadeOf('sw-97', 'scourwhite')!) })),
    placement: { scale: 1, isSizeSet: true, turnDeg: 0, mirrored: false, xMm: -160, yMm: -160 },
    finish: { ...USUAL_FINISH, sizeMm: [320, 320], fringe: 'looped', fringeMm: 45 },
  };
}

function inMatt(stitch: Pass['stitch'], more: Partial<Pass> = {}): Pass {
  return { ...plainPass(stitch, 'matt-cotton', 1), ...more };
}

function passesOf(id: string): Pass[] | null {
  if (id === 'border') return [inMatt('cable-chain')];
  if (id.startsWith('stem')) return [inMatt('chain')];
  if (id.startsWith('rays')) return [inMatt('stem')];
  if (id.startsWith('seeds')) return [inMatt('colonial')];
  if (id.startsWith('heart')) return [inMatt('satin-padded', { angleDeg: 45 })];
  if (id.startsWith('leaf')) return [{ ...inMatt('split'), role: 'edge' }, inMatt('satin', { direction: 'across' })];
  return null;
}
