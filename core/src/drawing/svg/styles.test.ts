import { Resvg } from '@resvg/resvg-js';
import { describe, expect, it } from 'vitest';
import { hexOf } from '../../colour/index.ts';
import { seededRandom, type Random } from '../../measure/index.ts';
import { readSvg } from '../index.ts';

const COLOURS = ['#b03030', '#2f7d4f', '#2a4fa0', '#d9a520', '#6b3f8f', '#d77a2c'] as const;
const CLASSES = ['leaf', 'petal', 'rim'] as const;
const IDS = ['one', 'two'] as const;
const COLUMNS = 4;
const CELL = 10;

/**
 * A drawing of squares in nested groups, each level with attributes, classes and styles at random. Nothing is `!important`: the
 * renderer lets a rule of higher rank win over it, which it should not. Nothing is `currentColor`, which is handed down as a word in
 * newer renderers only.
 */
function randomDrawing(random: Random): string {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random.next() * list.length)]!;
  const chance = (share: number): boolean => random.next() < share;
  const paint = (): string => (chance(0.08) ? 'inherit' : pick(COLOURS));
  const declaration = (): string => {
    if (chance(0.1)) return `visibility:${pick(['hidden', 'visible'])}`;
    return `fill:${paint()}`;
  };
  const look = (): string =>
    [
      chance(0.4) ? ` fill="${paint()}"` : '',
      chance(0.1) ? ` visibility="${pick(['hidden', 'visible'])}"` : '',
      chance(0.4) ? ` class="${chance(0.3) ? `${pick(CLASSES)} ${pick(CLASSES)}` : pick(CLASSES)}"` : '',
      chance(0.3) ? ` style="${declaration()};${chance(0.3) ? declaration() : ''}"` : '',
    ].join('');
  const selector = (): string => {
    const simple = (): string =>
      pick(['rect', 'g', `.${pick(CLASSES)}`, `#${pick(IDS)}`, `rect.${pick(CLASSES)}`, '*']);
    return chance(0.3) ? `${simple()}${pick([' ', ' > '])}${simple()}` : simple();
  };
  const rules = Array.from({ length: 6 }, () => `${selector()} { ${declaration()} }`);
  let cell = 0;
  const square = (): string => {
    const [x, y] = [(cell % COLUMNS) * CELL, Math.floor(cell / COLUMNS) * CELL];
    cell++;
    const id = chance(0.15) ? ` id="${pick(IDS)}"` : '';
    return `<rect x="${x + 1}" y="${y + 1}" width="${CELL - 2}" height="${CELL - 2}"${id}${look()}/>`;
  };
  const group = (depth: number): string => {
    const inner = Array.from({ length: 2 }, () => (depth > 0 ? group(depth - 1) : square()));
    return `<g${look()}>${inner.join('')}</g>`;
  };
  const body = group(3);
  const size = COLUMNS * CELL;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${size}mm" height="${size}mm" viewBox="0 0 ${size} ${size}"><style>${rules.join('\n')}</style>${body}</svg>`;
}

/** The colour that a renderer gives the middle of each square; null where it paints nothing. */
function rendered(svg: string): (string | null)[] {
  const { pixels, width } = new Resvg(svg, { fitTo: { mode: 'width', value: COLUMNS * CELL } }).render();
  return Array.from({ length: COLUMNS * COLUMNS }, (_, cell) => {
    const x = (cell % COLUMNS) * CELL + CELL / 2;
    const y = Math.floor(cell / COLUMNS) * CELL + CELL / 2;
    const at = 4 * (y * width + x);
    return pixels[at + 3]! < 128 ? null : hexOf(pixels[at]! / 255, pixels[at + 1]! / 255, pixels[at + 2]! / 255);
  });
}

/** The colour of the part that was read for each square. */
function read(svg: string): (string | null)[] {
  const drawing = readSvg(svg, 'x', 'x');
  const cells = Array.from({ length: COLUMNS * COLUMNS }, (): string | null => null);
  // Where all is hidden there is nothing to read.
  if (!drawing.ok) return cells;
  const { palette } = drawing.value;
  for (const { path, colour } of drawing.value.drawing.parts) {
    const [x, y] = /M\s*(-?[\d.]+)[ ,]+(-?[\d.]+)/.exec(path)!.slice(1).map(Number) as [number, number];
    cells[Math.floor(y / CELL) * COLUMNS + Math.floor(x / CELL)] = palette.find(({ id }) => id === colour)!.hex;
  }
  return cells;
}

describe('the look of a shape', () => {
  it.each(Array.from({ length: 60 }, (_, seed) => seed))(
    'comes about from attributes, rules and inheritance as a renderer has it (seed %i)',
    (seed) => {
      const svg = randomDrawing(seededRandom(1000 + seed));
      expect(read(svg), svg).toEqual(rendered(svg));
    },
  );
});
