import { fitToHoop, circleAround, readSvg, ShapePlacer } from '@junctura/core/drawing';
import type { Part, Piece } from '@junctura/core/piece';

const RED = '#b12f40';
const BLUE = '#325674';

/** A first piece: a kite with a tail of bows over curls of wind. Four stitches, two colours, a 100 mm hoop. */
export function kiteSvg(): string {
  const area = (id: string, d: string, fill: string): string =>
    `    <path id="${id}" d="${d}" fill="${fill}" stroke="none"/>`;
  const line = (id: string, d: string, stroke: string, width: number): string =>
    `    <path id="${id}" d="${d}" fill="none" stroke="${stroke}" stroke-width="${width}" stroke-linecap="round"/>`;
  const bow = (id: string, x: number, y: number, turn: number): string =>
    [
      `    <g transform="translate(${x} ${y}) rotate(${turn})">`,
      area(`${id}-left`, 'M0 -0.7L-4.6 -2.7C-5.3 -1 -5.3 1 -4.6 2.7L0 0.7Z', RED),
      area(`${id}-right`, 'M0 -0.7L4.6 -2.7C5.3 -1 5.3 1 4.6 2.7L0 0.7Z', RED),
      `    <path id="${id}-knot" d="M0 0h0" stroke="${BLUE}" stroke-width="1.6" stroke-linecap="round"/>`,
      '    </g>',
    ].join('\n');
  return [
    '<svg xmlns="http://www.w3.org/2000/svg" width="80mm" height="80mm" viewBox="-40 -40 80 80">',
    '  <title>Kite</title>',
    line('wind-high', 'M-33 -13C-25 -20 -15 -14 -19 -8C-22 -4 -26 -8 -22 -11', BLUE, 0.8),
    line('wind-low', 'M11 24C18 17 29 20 27 27C25 32 19 30 21 26', BLUE, 0.8),
    line('wind-far', 'M-30 2C-25 -1 -22 3 -17 0', BLUE, 0.8),
    line('tail', 'M1.5 8C-3 14 5 18 1 23C-3 28 -10 21 -15 24C-20 27 -17 32 -24 31', BLUE, 0.9),
    bow('bow-1', 1.6, 17.2, 62),
    bow('bow-2', -7.6, 24.6, -12),
    bow('bow-3', -18.6, 28.3, 70),
    '  <g transform="translate(8.5 -13) rotate(17) scale(1.12)">',
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
  'wind-far': 'Far wind',
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
  const shades: Record<string, string> = { [RED]: 'rh-41', [BLUE]: 'sl-35' };
  const chosen = parts.map((part): Part => ({ ...part, passes: passesOf(part.id) }));
  return {
    ...read.value,
    hoop,
    placement: fitToHoop(read.value.placement, circle, hoop),
    drawing: { ...read.value.drawing, source: 'kite.svg', parts: chosen },
    palette: read.value.palette.map((colour) => ({ ...colour, shade: shades[colour.hex] ?? null })),
  };
}

function bowName(id: string): string {
  const [, number, side] = /^bow-(\d)-(.*)$/.exec(id) ?? [];
  return side === 'knot' ? `Knot of bow ${number}` : `Bow ${number}, ${side} wing`;
}

/** What is chosen for a part; the others are worked as proposed. */
function passesOf(id: string): Part['passes'] {
  const pass = { params: {}, thread: 'stranded-cotton', strands: 2 };
  if (id.startsWith('wind')) return [{ ...pass, stitch: 'stem', params: { stitchMm: 3 }, angleDeg: null }];
  if (!id.startsWith('panel')) return null;
  const leansRight = id === 'panel-top-left' || id === 'panel-low-right';
  return [{ ...pass, stitch: 'satin', angleDeg: leansRight ? 30 : -60 }];
}
