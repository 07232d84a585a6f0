import type { Part, Piece } from '@junctura/core/piece';
import { area, drawing, group, line, pieceOf, worked } from './draw.ts';

const PINK = '#b93a62';
const ROSE = '#e18aa0';
const WHITE = '#f7efe6';
const LEAF = '#5c7a3a';
const DEEP = '#37512a';
const STRING = '#b98f4d';

function radish(n: number, transform: string): string {
  return group(
    transform,
    line(`root-${n}`, 'M0 17C1 23 -2 27 0.5 33', ROSE, 1),
    area(
      `bulb-${n}`,
      'M0 -13C10 -14 14 -6 13 1C12 9 6 14 1.5 18C0.5 19 -0.5 19 -1.5 18C-6 14 -12 9 -13 1C-14 -6 -10 -14 0 -13Z',
      PINK,
    ),
    area(
      `tip-${n}`,
      'M-6.4 13.4C-3 11 3 11 6.4 13.4C4.4 15.2 2.6 16.8 1.5 18C0.5 19 -0.5 19 -1.5 18C-2.6 16.8 -4.4 15.2 -6.4 13.4Z',
      WHITE,
    ),
    area(`light-${n}`, 'M-8 -6C-10 -2 -9.4 3 -7.6 5.6C-6.6 3 -6.4 -3 -5.4 -7.4C-6.2 -8 -7.4 -7.4 -8 -6Z', ROSE),
  );
}

function leaf(n: number, transform: string): string {
  return group(
    transform,
    area(`leaf-${n}`, 'M0 0C-6 -4 -9 -11 -7 -18C-10 -22 -8 -29 0 -34C8 -29 10 -22 7 -18C9 -11 6 -4 0 0Z', LEAF),
    line(`vein-${n}`, 'M0 6C-0.6 -6 0.8 -18 0 -30', DEEP, 0.7),
    line(`rib-${n}`, 'M0 -8L-4.6 -13M0 -15L4.6 -20M0 -21L-4 -25.4', DEEP, 0.6),
  );
}

/** A bunch of three, for a canvas bag that is washed: no hoop, nothing that snags. */
export function radishesSvg(): string {
  return drawing('Market radishes', 120, [
    leaf(1, 'translate(-9 -12) rotate(-34)'),
    leaf(2, 'translate(10 -12) rotate(32)'),
    leaf(3, 'translate(0 -15)'),
    radish(1, 'translate(-18 11) rotate(22)'),
    radish(2, 'translate(18 11) rotate(-22)'),
    radish(3, 'translate(0 18)'),
    area('string', 'M-8 -5C-3 -3.6 3 -3.6 8 -5L8.6 -1.4C3 0.2 -3 0.2 -8.6 -1.4Z', STRING),
    line('string-end', 'M8 -3C13 -4 14 0 19 -2M8 -3C12 -7 15 -6 17 -9', STRING, 1),
  ]);
}

export function radishesPiece(): Piece {
  return pieceOf(radishesSvg(), 'market-radishes.svg', {
    id: 'demo-radishes',
    name: 'Market radishes',
    change: { use: 'washed', cloth: { kind: 'canvas', colour: '#e3d6bb' }, hoop: null, mark: 'cloth-pencil' },
    shades: { [PINK]: 'mw-40', [ROSE]: 'bk-73', [WHITE]: 'ch-98', [LEAF]: 'sg-48', [DEEP]: 'nt-21', [STRING]: 'oc-61' },
    passes: passesOf,
  });
}

function passesOf(id: string): Part['passes'] {
  if (id.startsWith('bulb'))
    return [worked('split-fill', 3, { angleDeg: id === 'bulb-1' ? 68 : id === 'bulb-2' ? 112 : 90 })];
  if (id.startsWith('leaf'))
    return [worked('split-fill', 2, { angleDeg: id === 'leaf-1' ? 124 : id === 'leaf-2' ? 58 : 90 })];
  return null;
}
