import { plainHoop, type Part, type Piece } from '@junctura/core/piece';
import { area, dots, drawing, line, pieceOf, worked } from './draw.ts';

const YELLOW = '#e3b13c';
const CREAM = '#f3e7cb';
const RED = '#a8352c';
const GREY = '#8f97a3';
const SLATE = '#5d6c92';
const GLOW = '#f6d98a';

const box = (x: number, y: number, w: number, h: number, r: number): string =>
  `M${x + r} ${y}H${x + w - r}A${r} ${r} 0 0 1 ${x + w} ${y + r}V${y + h - r}A${r} ${r} 0 0 1 ${x + w - r} ${y + h}H${x + r}A${r} ${r} 0 0 1 ${x} ${y + h - r}V${y + r}A${r} ${r} 0 0 1 ${x + r} ${y}Z`;
const ring = (r: number): string => `M${-r} 0A${r} ${r} 0 1 1 ${r} 0A${r} ${r} 0 1 1 ${-r} 0Z`;

/** A 70 mm patch for a jacket: a lit tram under the moon, the town behind it, on dark felt. */
export function tramSvg(): string {
  const windows = [-19.2, -10.2, -1.2, 7.8].map((x, i) => area(`window-${i + 1}`, box(x, -6.4, 7, 7.6, 1), CREAM));
  const wheel = (n: number, x: number): string[] => [
    area(`wheel-${n}`, `M${x - 3} 12.6A3 3 0 1 1 ${x + 3} 12.6A3 3 0 1 1 ${x - 3} 12.6Z`, GREY),
    dots(`hub-${n}`, [[x, 12.6]], RED),
  ];
  return drawing('Night tram', 80, [
    line('rim', ring(34), YELLOW, 1.8),
    line('roofs', 'M-31.2 4V-4.6L-28.4 -8.6L-25.6 -4.6V4M22.6 6V-9H27V-3.4H31V6', SLATE, 0.7),
    dots(
      'far-windows',
      [
        [-28.4, -3],
        [-28.4, 1.4],
        [24.8, -5.6],
        [24.8, -1.2],
        [29, 0.4],
      ],
      GLOW,
    ),
    area('moon', 'M14 -27A7.4 7.4 0 1 0 21.5 -16.5A6 6 0 0 1 14 -27Z', GLOW),
    dots(
      'stars',
      [
        [-20, -21],
        [-9, -26],
        [-2, -20],
        [4.6, -29],
        [-27, -15],
        [6.4, -20.6],
      ],
      CREAM,
    ),
    line('wire', 'M-30.6 -14.4C-12 -12.6 12 -12.6 30.6 -14.4', GREY, 0.7, '3 2'),
    line('pole', 'M-5 -11L0 -13.6L5 -11', GREY, 0.8),
    area('roof', box(-21.6, -11.4, 40, 3.6, 1.7), RED),
    area('body', box(-23, -8, 43, 18.8, 2.6), YELLOW),
    ...windows,
    area('door', box(13.4, 2.8, 4.6, 8, 0.8), RED),
    area('stripe', 'M-23 3.4H11.6V6H-23Z', RED),
    dots('lamp', [[-20.6, 8.4]], CREAM),
    ...wheel(1, -13.6),
    ...wheel(2, 8.4),
    line('rail', 'M-29.6 16.4H29.6', GREY, 0.9),
    line('rail-in-the-road', 'M-26.4 19.4H26.4', SLATE, 0.7, '4 2.4'),
    area('light', 'M-23 9.2L-31.4 11.8A33 33 0 0 1 -29.8 15.2L-23 15Z', GLOW),
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
