import { fitToHoop, circleAround, readSvg, ShapePlacer } from '@junctura/core/drawing';
import type { Piece } from '@junctura/core/piece';

const RED = '#b12f40';
const BLUE = '#2b4a7d';

/** A first piece: a kite with a tail of bows over two curls of wind. Four stitches, two colours, a 100 mm hoop. */
export function kiteSvg(): string {
  const area = (id: string, d: string, fill: string): string =>
    `    <path id="${id}" d="${d}" fill="${fill}" stroke="none"/>`;
  const line = (id: string, d: string, stroke: string, width: number): string =>
    `    <path id="${id}" d="${d}" fill="none" stroke="${stroke}" stroke-width="${width}" stroke-linecap="round"/>`;
  const bow = (id: string, x: number, y: number, turn: number): string =>
    [
      `    <g transform="translate(${x} ${y}) rotate(${turn})">`,
      area(`${id}-left`, 'M0 0L-5.4 -3.4C-6.4 -1.2 -6.4 1.2 -5.4 3.4Z', RED),
      area(`${id}-right`, 'M0 0L5.4 -3.4C6.4 -1.2 6.4 1.2 5.4 3.4Z', RED),
      `    <path id="${id}-knot" d="M0 0h0" stroke="${BLUE}" stroke-width="1.6" stroke-linecap="round"/>`,
      '    </g>',
    ].join('\n');
  return [
    '<svg xmlns="http://www.w3.org/2000/svg" width="80mm" height="80mm" viewBox="-40 -40 80 80">',
    '  <title>Kite</title>',
    line('wind-high', 'M-31 -12C-22 -19 -14 -12 -19 -7C-23 -4 -26 -9 -21 -11', BLUE, 0.8),
    line('wind-low', 'M8 27C17 19 27 24 24 30C21 34 16 30 20 27', BLUE, 0.8),
    line('tail', 'M-1.4 9.6C-9 15 3 20 -6 25C-14 29 -19 24 -27 29', BLUE, 0.9),
    bow('bow-1', -3.4, 16.6, 30),
    bow('bow-2', -7.6, 25.8, -28),
    bow('bow-3', -19.4, 26.6, 8),
    '  <g transform="translate(4 -10) rotate(15)">',
    area('panel-top-left', 'M0 -23L-14 -6L0 -6Z', RED),
    area('panel-top-right', 'M0 -23L14 -6L0 -6Z', BLUE),
    area('panel-low-left', 'M-14 -6L0 -6L0 20Z', BLUE),
    area('panel-low-right', 'M14 -6L0 -6L0 20Z', RED),
    line('spar', 'M0 -23L0 20', BLUE, 0.6),
    line('crossbar', 'M-14 -6L14 -6', BLUE, 0.6),
    line('edge', 'M0 -23L14 -6L0 20L-14 -6Z', BLUE, 0.6),
    '  </g>',
    '</svg>',
    '',
  ].join('\n');
}

const NAMES: Readonly<Record<string, string>> = {
  'wind-high': 'High wind',
  'wind-low': 'Low wind',
  tail: 'Tail',
  'panel-top-left': 'Top left panel',
  'panel-top-right': 'Top right panel',
  'panel-low-left': 'Lower left panel',
  'panel-low-right': 'Lower right panel',
  spar: 'Spar',
  crossbar: 'Crossbar',
  edge: 'Edge of the sail',
};

export function kitePiece(): Piece {
  const read = readSvg(kiteSvg(), 'demo-kite', 'Kite');
  if (!read.ok) throw new Error(read.problem);
  const hoop = { nominalMm: 100, airMm: 10 };
  const circle = circleAround(new ShapePlacer().place(read.value))!;
  const parts = read.value.drawing.parts.map((part) => ({ ...part, name: NAMES[part.id] ?? bowName(part.id) }));
  const shades: Record<string, string> = { [RED]: 'rh-41', [BLUE]: 'es-31' };
  const panels = parts.map((part) =>
    part.id.startsWith('panel')
      ? {
          ...part,
          passes: [
            {
              stitch: 'satin' as const,
              params: {},
              angleDeg: part.id === 'panel-top-left' || part.id === 'panel-low-right' ? 30 : -60,
              thread: 'stranded-cotton',
              strands: 2,
            },
          ],
        }
      : part,
  );
  return {
    ...read.value,
    hoop,
    placement: fitToHoop(read.value.placement, circle, hoop),
    drawing: { ...read.value.drawing, source: 'kite.svg', parts: panels },
    palette: read.value.palette.map((colour) => ({ ...colour, shade: shades[colour.hex] ?? null })),
  };
}

function bowName(id: string): string {
  const [, number, side] = /^bow-(\d)-(.*)$/.exec(id) ?? [];
  return side === 'knot' ? `Knot of bow ${number}` : `Bow ${number}, ${side} wing`;
}
