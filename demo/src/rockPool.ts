import { flattenPath, mapPoints, pathData } from '@junctura/core/geometry';
import { nearestShade, refOf } from '@junctura/core/materials';
import { newColour, plainHoop, type Part, type Pass, type Piece } from '@junctura/core/piece';
import { area, dots, drawing, group, line, pieceOf, worked } from './draw.ts';

/** Fourteen colours. */
const AMBER_LIGHT = '#e3ad45';
const AMBER = '#c87a2a';
const AMBER_DARK = '#8d451d';
const ROSE = '#b5455f';
const CREAM = '#f0e3c4';
const SLATE = '#5c6d76';
const OLIVE = '#77792f';
const MOSS = '#414d28';
const WEED = '#8a2b38';
const VIOLET = '#6f5a91';
const TEAL = '#4a8790';
const FOAM = '#8fb9b8';
const SAND = '#b5935c';
const DEEP = '#23404e';

const STAR = { x: -13, y: -12, arm: 25 };
const ANEMONE = { x: 25, y: -26, disc: 6, ring: 9.2, tentacles: 15 };
const LIMPET = { x: 31, y: 5, r: 9, wedges: 6 };
const URCHIN = { x: 7, y: 25 };
const SCALLOP = { x: -7, y: 35.6, turn: -14, hinge: 5.4 };
const RIM_MM = 57;

const polar = (angle: number, r: number): [x: number, y: number] => [r * Math.cos(angle), r * Math.sin(angle)];
const fixed = (value: number): string => String(Math.round(value * 1000) / 1000);
const count = (n: number): number[] => Array.from({ length: n }, (_, i) => i);

function circlePath(x: number, y: number, r: number): string {
  return `M${fixed(x - r)} ${y}A${r} ${r} 0 1 1 ${fixed(x + r)} ${y}A${r} ${r} 0 1 1 ${fixed(x - r)} ${y}Z`;
}

/** A leaf from its foot at the origin along the x axis, bowed to one side. */
function leaf(length: number, width: number, bow = 0): string {
  const half = width / 2;
  return `M0 0C${length * 0.2} ${-half * 1.25 + bow} ${length * 0.65} ${-half * 1.3 + bow} ${length} 0C${length * 0.65} ${half * 0.9 + bow} ${length * 0.2} ${half * 1.1 + bow * 0.6} 0 0Z`;
}

/** The hinge from which the scallop fans out. */
function hingeOfScallop(): [x: number, y: number] {
  const turn = (SCALLOP.turn * Math.PI) / 180;
  return [
    fixedNumber(SCALLOP.x - Math.sin(turn) * SCALLOP.hinge),
    fixedNumber(SCALLOP.y + Math.cos(turn) * SCALLOP.hinge),
  ];
}

/** A tentacle's place and the direction in which it points. */
function tentacle(k: number): { place: [number, number]; angleDeg: number } {
  const angle = (2 * Math.PI * (k + 0.4)) / ANEMONE.tentacles;
  const [x, y] = polar(angle, ANEMONE.ring);
  return { place: [fixedNumber(ANEMONE.x + x), fixedNumber(ANEMONE.y + y)], angleDeg: (-angle * 180) / Math.PI };
}

function fixedNumber(value: number): number {
  return Number(fixed(value));
}

/** Letters of single strokes, 6 mm tall, and how wide they are. */
const LETTERS: Readonly<Record<string, readonly [width: number, path: string]>> = {
  S: [3.8, 'M3.6 -5.1C3 -6.1 0.9 -6.2 0.5 -4.7C0.2 -3.3 3.7 -3 3.6 -1.5C3.5 0.2 0.9 0.3 0.2 -1'],
  L: [3.3, 'M0.4 -6V0H3.3'],
  A: [4.2, 'M0 0L2.1 -6L4.2 0M0.8 -2.1H3.4'],
  C: [3.9, 'M3.8 -4.8C3 -6.4 0.3 -6.3 0.3 -3C0.3 0.3 3 0.4 3.8 -1.2'],
  K: [3.8, 'M0.4 -6V0M3.5 -6L0.4 -2.7M1.5 -3.8L3.8 0'],
  W: [5.4, 'M0 -6L1.4 0L2.7 -4.6L4 0L5.4 -6'],
  T: [4, 'M0 -6H4M2 -6V0'],
  E: [3.4, 'M3.4 -6H0.4V0H3.4M0.4 -3.1H2.9'],
  R: [3.8, 'M0.4 0V-6H2.1C4 -6 4 -3 2.1 -3H0.4M2 -3L3.8 0'],
};
const LETTERING = { r: 50.4, gap: 2.3, word: 5.4, scale: 1.16 };

/** Words on an arc along the foot of the rim, read from inside: one path for each word. */
function lettering(words: readonly string[]): string[] {
  const widthOf = (word: string): number =>
    [...word].reduce((sum, letter) => sum + LETTERS[letter]![0] * LETTERING.scale + LETTERING.gap, -LETTERING.gap);
  const total = words.reduce((sum, word) => sum + widthOf(word), (words.length - 1) * LETTERING.word);
  let at = -total / 2;
  return words.map((word) => {
    const d = [...word].map((letter) => {
      const [drawn, path] = LETTERS[letter]!;
      const width = drawn * LETTERING.scale;
      const angle = (at + width / 2) / LETTERING.r;
      at += width + LETTERING.gap;
      const [cos, sin] = [Math.cos(-angle), Math.sin(-angle)];
      const [wide, high] = [cos * LETTERING.scale, sin * LETTERING.scale];
      const [x, y] = [LETTERING.r * Math.sin(angle), LETTERING.r * Math.cos(angle)];
      const toPlace = [wide, high, -high, wide, x - (cos * width) / 2, y - (sin * width) / 2] as const;
      return flattenPath(path, 0.02)
        .map((run) => pathData({ points: mapPoints(toPlace, run.points), closed: run.closed }, 3))
        .join('');
    });
    at += LETTERING.word - LETTERING.gap;
    return d.join('');
  });
}

function seaStar(): string[] {
  const arm = `M0 0L6.6 -4.8C13 -4.4 21 -3.1 ${STAR.arm} -0.6C${STAR.arm + 0.7} 0 ${STAR.arm + 0.7} 0.2 ${STAR.arm} 0.7C21 3.1 13 4.4 6.6 4.8Z`;
  const ridge = count(6).map((k): [number, number] => [fixedNumber(3.4 + k * 3.1), 0]);
  const turned = (k: number, ...body: string[]): string =>
    group(`translate(${STAR.x} ${STAR.y}) rotate(${72 * k - 82})`, ...body);
  return [
    ...count(5).map((k) => turned(k, area(`star-arm-${k + 1}`, arm, AMBER))),
    ...count(5).map((k) => turned(k, dots(`star-ridge-${k + 1}`, ridge, CREAM))),
  ];
}

function limpet(): string[] {
  const { x, y, r, wedges } = LIMPET;
  return count(wedges).map((k) => {
    const [from, to] = [(2 * Math.PI * k) / wedges, (2 * Math.PI * (k + 1)) / wedges];
    const [[ax, ay], [bx, by]] = [polar(from, r), polar(to, r)];
    const d = `M${x - 1.6} ${y - 1.2}L${fixed(x + ax)} ${fixed(y + ay * 0.92)}Q${fixed(x + polar((from + to) / 2, r * 1.14)[0])} ${fixed(y + polar((from + to) / 2, r * 1.14)[1] * 0.92)} ${fixed(x + bx)} ${fixed(y + by * 0.92)}Z`;
    return area(`limpet-${k + 1}`, d, k % 2 === 0 ? SLATE : CREAM);
  });
}

/**
 * A tide pool seen from above: a sea star, an anemone, a limpet, kelp, red weed, an urchin, barnacles, pebbles, ripples and sand
 * within a rim, and the lettering SLACK WATER. Every family of stitches has a place in it.
 */
export function rockPoolSvg(): string {
  const [slack, water] = lettering(['SLACK', 'WATER']) as [string, string];
  return drawing('Rock Pool', 130, [
    line('rim', circlePath(0, 0, RIM_MM), DEEP, 1.2),
    line('ripple-1', 'M-44 -27C-37 -35 -28 -41 -17 -45', FOAM, 0.7),
    line('ripple-2', 'M-48 -14C-46 -24 -40 -31 -33 -36', TEAL, 0.7),
    line('ripple-3', 'M11 4C18 -2 16 -10 24 -13C32 -16 40 -12 45 -18', TEAL, 0.7),
    line('ripple-4', 'M14 10C20 8 19 -1 27 -6C34 -10 41 -6 49 -9', FOAM, 0.5, '3 2'),
    line('ripple-5', 'M-47 26C-43 33 -38 38 -33 41', FOAM, 0.5, '3 2'),
    area('sand-1', 'M-35 27C-24 24.6 -12 28.5 -4 33.6C-12 38.4 -26 36.6 -35 27Z', SAND),
    area('sand-2', 'M25 30C31 27.6 40 25.6 47 23C45.4 28.2 38 32 29 33.2Z', SAND),
    area('pebble-1', 'M-31 21C-28 17 -21 17 -19 21C-18 25 -22 28 -27 27C-31 26 -33 24 -31 21Z', SLATE),
    area('pebble-2', 'M-17 25C-14 22 -9 23 -8 26C-8 29 -12 31 -15 30C-18 29 -19 27 -17 25Z', FOAM),
    area(
      'rock',
      'M24 19C27 14 34 12.6 41 14.6C48 17 48.6 22 44 25C38 28.4 30 27.6 26.4 25C23.6 23 22.8 21 24 19Z',
      SLATE,
    ),
    group(
      'translate(-46 22) rotate(-74)',
      line('stipe-1', 'M-8 3C-5 0 -3 1 0 0', MOSS, 1),
      area('kelp-1', leaf(30, 11, 1.4), OLIVE),
    ),
    group(
      'translate(-38 27) rotate(-58)',
      line('stipe-2', 'M-9 -4C-6 -1 -3 -1 0 0', MOSS, 1),
      area('kelp-2', leaf(25, 10, -1), MOSS),
    ),
    ...[
      [-35, -28, 20, 9],
      [-31, -33, -22, 8],
      [-26, -37, -60, 7.5],
    ].map(([x, y, turn, length], k) =>
      group(`translate(${x} ${y}) rotate(${turn})`, area(`blade-${k + 1}`, leaf(length!, length! * 0.42), OLIVE)),
    ),
    line('red-weed', 'M-3 -53C1 -47 -2 -42 3 -36', WEED, 0.8),
    line('red-weed-left', 'M-9 -50C-6 -46 -8 -41 -5 -37', WEED, 0.6),
    line('red-weed-right', 'M6 -51C4 -46 9 -42 9 -37', WEED, 0.6),
    line('string-weed', 'M46 6C50 -2 47 -10 50 -18', MOSS, 0.8),
    line('knotted-weed', 'M44 18C49 14 47 8 50 3', OLIVE, 0.8),
    line('worm-tube', 'M-4 9C0 7 1 12 -3 13C-8 14 -8 7 -2 6', SAND, 0.7),
    line('sea-lace', 'M40 -38C45 -32 42 -27 47 -23', WEED, 0.8),
    ...seaStar(),
    area('anemone', circlePath(ANEMONE.x, ANEMONE.y, ANEMONE.disc), ROSE),
    dots('anemone-mouth', [[ANEMONE.x, ANEMONE.y]], AMBER_LIGHT),
    ...count(ANEMONE.tentacles).map((k) => dots(`tentacle-${k + 1}`, [tentacle(k).place], ROSE)),
    ...limpet(),
    dots('urchin', [[URCHIN.x, URCHIN.y]], VIOLET),
    dots('urchin-spines', [[URCHIN.x, URCHIN.y]], VIOLET),
    dots(
      'barnacles-small',
      [
        [36, 20],
        [38.6, 22.4],
        [33, 22.6],
        [41.4, 20.6],
      ],
      CREAM,
    ),
    dots(
      'barnacles-middling',
      [
        [34.6, 18.2],
        [39.4, 18],
        [36.2, 24],
      ],
      CREAM,
    ),
    dots(
      'barnacles-large',
      [
        [43, 23.4],
        [30.4, 19.6],
      ],
      CREAM,
    ),
    dots('barnacle-wheel', [[25.4, 20.4]], CREAM),
    group(
      `translate(${SCALLOP.x} ${SCALLOP.y}) rotate(${SCALLOP.turn})`,
      area('scallop', 'M0 5.4C-5 3 -8 -1 -7.4 -5C-3 -8.4 3 -8.4 7.4 -5C8 -1 5 3 0 5.4Z', CREAM),
      line('scallop-edge', 'M-7.4 -5C-3 -8.4 3 -8.4 7.4 -5', ROSE, 0.6),
    ),
    group('translate(-12.5 17.6) rotate(14)', area('mussel', 'M-8 1C-5 -4 4 -5 8.5 -2C7 3 -2 5 -8 1Z', DEEP)),
    area('periwinkle', 'M19 -45C23 -47 28 -45 28 -41C28 -37 23 -36 20.5 -38.5C18.5 -40.5 17 -44 19 -45Z', SLATE),
    area('sponge', 'M-50 -8C-46 -11 -42 -9 -42 -5C-42 -1 -47 1 -50 -2C-52 -4 -52 -6 -50 -8Z', AMBER_LIGHT),
    dots(
      'eggs',
      [
        [6, 8.4],
        [9.4, 6.2],
        [8.6, 11],
        [4.6, 12],
        [12, 9],
      ],
      AMBER_LIGHT,
    ),
    dots(
      'glints',
      [
        [-26, -46],
        [-46, -21],
        [20, 13],
        [44, -11],
        [13, -2],
      ],
      FOAM,
    ),
    line('slack', slack, DEEP, 0.9),
    line('water', water, DEEP, 0.9),
  ]);
}

export function rockPoolPiece(): Piece {
  const piece = pieceOf(rockPoolSvg(), 'rock-pool.svg', {
    id: 'demo-rock-pool',
    name: 'Rock Pool',
    change: { hoop: plainHoop(150, 12), cloth: { kind: 'fine-linen', colour: '#d2d9cd' } },
    shades: {},
    names: { slack: 'Lettering: slack', water: 'Lettering: water' },
  });
  const colourOf = new Map(piece.palette.map(({ hex, id }) => [hex, id]));
  // The dark amber is only drawn as a shade of the arms.
  const dark = newColour({ id: `c${piece.palette.length + 1}`, hex: AMBER_DARK });
  const light = colourOf.get(AMBER_LIGHT)!;
  const middle = colourOf.get(AMBER)!;
  const shades = [dark.id, middle, light];
  const parts = piece.drawing.parts.map((part): Part => ({
    ...part,
    differs: part.kind === 'spot' && !part.id.startsWith('tentacle') && !part.id.startsWith('star'),
    passes: passesOf(part.id, shades, colourOf),
  }));
  const palette = [...piece.palette, dark].map((entry) => ({ ...entry, shade: refOf(nearestShade(entry.hex).item) }));
  return { ...piece, palette, drawing: { ...piece.drawing, parts } };
}

function passesOf(id: string, ambers: string[], colourOf: ReadonlyMap<string, string>): Pass[] | null {
  const colour = (hex: string): string => colourOf.get(hex)!;
  const number = Number(/\d+$/.exec(id)?.[0] ?? 0);
  if (id.startsWith('star-arm')) {
    return [
      worked('split', 1, { role: 'edge', colour: ambers[0]! }),
      worked('long-short', 2, { direction: 'along', shades: ambers, params: { stitchMm: 6 } }),
    ];
  }
  if (id.startsWith('star-ridge')) return [worked('french', 2)];
  // More wraps than cover the span: each bows as it will, long and short by turns.
  if (id.startsWith('tentacle'))
    return [
      worked('bullion', 2, {
        angleDeg: Math.round(tentacle(number - 1).angleDeg),
        params: { lengthMm: number % 2 ? 4.6 : 3.6, wraps: number % 2 ? 14 : 11 },
      }),
    ];
  if (id.startsWith('limpet')) {
    return [
      worked('split', 1, { role: 'edge' }),
      worked('satin', 2, { direction: 'radial', points: [[LIMPET.x - 1.6, LIMPET.y - 1.2]] }),
    ];
  }
  if (id.startsWith('kelp')) {
    return [
      worked('satin-leaf', 2, { params: { slantDeg: 40 } }),
      worked('stem', 1, { role: 'vein', colour: colour(id === 'kelp-1' ? MOSS : OLIVE) }),
    ];
  }
  if (id.startsWith('blade')) return [worked('fly-leaf', 2)];
  if (id.startsWith('stipe')) return [worked('chain', 2)];
  const chosen: Readonly<Record<string, Pass[]>> = {
    rim: [worked('pekingese', 3, { params: { stitchMm: 3.4, loopMm: 0.7 } })],
    slack: [worked('split-back', 2, { params: { stitchMm: 1.25 } })],
    water: [worked('split-back', 2, { params: { stitchMm: 1.25 } })],
    'ripple-1': [worked('stem', 2)],
    'ripple-2': [worked('split-back', 2)],
    'ripple-3': [worked('stem', 2)],
    'ripple-4': [worked('running', 2)],
    'ripple-5': [worked('running', 2)],
    'sand-1': [worked('seed', 1, { params: { densityPerCm2: 26, stitchMm: 1.6 } })],
    'sand-2': [worked('seed', 1, { params: { densityPerCm2: 26, stitchMm: 1.6 } })],
    'pebble-1': [worked('satin-padded', 2, { angleDeg: 70, params: { layers: 2, padding: 'satin' } })],
    'pebble-2': [worked('satin-padded', 2, { angleDeg: 100, params: { layers: 2, padding: 'chain' } })],
    rock: [worked('brick', 2, { angleDeg: 8, params: { stitchMm: 3 } })],
    'red-weed': [worked('feather', 2, { params: { stitchMm: 2.4, armMm: 2.2 } })],
    'red-weed-left': [worked('fly-column', 2, { params: { stitchMm: 2.6, armMm: 1.6 } })],
    'red-weed-right': [worked('long-arm-feather', 1, { params: { stitchMm: 1.8, armMm: 2.6, backMm: 1 } })],
    'string-weed': [worked('cable-chain', 2, { params: { stitchMm: 3 } })],
    'knotted-weed': [worked('palestrina', 2, { params: { stitchMm: 2.6, armMm: 1.4 } })],
    'worm-tube': [worked('couching', 3, { params: { tieMm: 2.4 } })],
    'sea-lace': [worked('coral', 2, { params: { knotMm: 2.4 } })],
    anemone: [
      worked('satin', 2, { direction: 'radial' }),
      worked('split', 2, { role: 'outline', colour: colour(WEED) }),
    ],
    'anemone-mouth': [worked('colonial', 3)],
    urchin: [worked('woven-wheel', 2, { params: { radiusMm: 4.6, spokes: 7 } })],
    'urchin-spines': [worked('daisy-ring', 2, { params: { innerMm: 5.4, outerMm: 10, petals: 16 } })],
    'barnacles-small': [worked('french', 2, { params: { wraps: 1 } })],
    'barnacles-middling': [worked('french', 3, { params: { wraps: 2 } })],
    'barnacles-large': [worked('french', 6, { params: { wraps: 2 } })],
    'barnacle-wheel': [worked('buttonhole-wheel', 1, { params: { radiusMm: 2.6, spokes: 16 } })],
    scallop: [
      worked('split', 1, { role: 'edge' }),
      worked('long-short', 1, {
        direction: 'radial',
        points: [hingeOfScallop()],
        params: { stitchMm: 4 },
        shades: [colour(ROSE), colour(CREAM)],
      }),
    ],
    'scallop-edge': [worked('coral', 1, { params: { knotMm: 1.6 } })],
    mussel: [worked('stem-fill', 2, { direction: 'along' })],
    periwinkle: [worked('split-fill', 2, { direction: 'outline', params: { stitchMm: 2.4 } })],
    sponge: [worked('colonial-fill', 2)],
    eggs: [worked('seed-pair', 2, { angleDeg: 60 })],
    glints: [worked('star', 1, { params: { armMm: 1.5 } })],
  };
  return chosen[id] ?? null;
}
