import { plainHoop, type Part, type Piece } from '@junctura/core/piece';
import { area, dots, drawing, line, pieceOf, worked } from './draw.ts';

const YELLOW = '#e3b13c';
const CREAM = '#f3e7cb';
const RED = '#a8352c';
const GREY = '#8f97a3';
const GLOW = '#f6d98a';

const box = (x: number, y: number, w: number, h: number, r: number): string =>
  `M${x + r} ${y}H${x + w - r}A${r} ${r} 0 0 1 ${x + w} ${y + r}V${y + h - r}A${r} ${r} 0 0 1 ${x + w - r} ${y + h}H${x + r}A${r} ${r} 0 0 1 ${x} ${y + h - r}V${y + r}A${r} ${r} 0 0 1 ${x + r} ${y}Z`;
const ring = (r: number): string => `M${-r} 0A${r} ${r} 0 1 1 ${r} 0A${r} ${r} 0 1 1 ${-r} 0Z`;

/** A 70 mm patch for a jacket: a lit tram under the moon, on dark felt. */
export function tramSvg(): string {
  const windows = [-18.5, -9.5, -0.5, 8.5].map((x, i) => area(`window-${i + 1}`, box(x, -6, 7, 7.4, 1), CREAM));
  return drawing('Night tram', 80, [
    line('rim', ring(34), YELLOW, 1.8),
    area('moon', 'M14 -25A7.4 7.4 0 1 0 21.5 -14.5A6 6 0 0 1 14 -25Z', GLOW),
    dots(
      'stars',
      [
        [-20, -19],
        [-9, -24],
        [-2, -18.5],
        [-26, -9],
        [4, -27],
        [26, -6],
      ],
      CREAM,
    ),
    line('wire', 'M-30 -14.6C-12 -13 12 -13 30 -14.6', GREY, 0.7, '3 2'),
    line('pole', 'M-4 -10.5L1 -13.5L6 -10.5', GREY, 0.8),
    area('roof', box(-21, -11, 38, 3.4, 1.6), RED),
    area('body', box(-22, -8, 40, 18.5, 2.4), YELLOW),
    ...windows,
    area('door', box(11.2, 3, 5, 7.5, 0.8), RED),
    area('stripe', 'M-22 3.6H10V6H-22Z', RED),
    dots('lamp', [[-19.8, 8.2]], CREAM),
    line('wheel-1', 'M-16.4 13.2A2.4 2.4 0 1 1 -11.6 13.2A2.4 2.4 0 1 1 -16.4 13.2Z', GREY, 1),
    line('wheel-2', 'M5.6 13.2A2.4 2.4 0 1 1 10.4 13.2A2.4 2.4 0 1 1 5.6 13.2Z', GREY, 1),
    line('rail', 'M-29.4 16.6H29.4', GREY, 0.8),
    area('light', 'M-22 9.6L-31.4 12.4A33 33 0 0 1 -29.8 15.6L-22 15.6Z', GLOW),
  ]);
}

export function tramPiece(): Piece {
  return pieceOf(tramSvg(), 'night-tram.svg', {
    id: 'demo-tram',
    name: 'Night tram',
    change: {
      use: 'patch',
      cloth: { kind: 'felt', colour: '#27304a' },
      // Felt takes no water; the stars stand up, so the ring keeps well away.
      hoop: plainHoop(125, 24.5),
      mark: 'heat-pen-white',
    },
    shades: { [YELLOW]: 'go-78', [CREAM]: 'fl-94', [RED]: 'ru-41', [GREY]: 'pb-64', [GLOW]: 'oc-86' },
    passes: passesOf,
  });
}

function passesOf(id: string): Part['passes'] {
  if (id === 'body') return [worked('split-fill', 3, { angleDeg: 0 })];
  if (id === 'light') return [worked('seed', 1, { params: { densityPerCm2: 24, stitchMm: 1.6 } })];
  return null;
}
