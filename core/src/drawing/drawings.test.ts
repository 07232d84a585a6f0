import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { Resvg } from '@resvg/resvg-js';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../measure/index.ts';
import type { Piece } from '../piece/index.ts';
import { readSvg } from './index.ts';

/** Two open sets of drawings, one of lines and one of filled layers, as a crowd that nobody made for this test. */
const require = createRequire(import.meta.url);
const lines = new URL('icons/', `file://${require.resolve('lucide-static/package.json')}`);
interface Filled {
  readonly width?: number;
  readonly height?: number;
  readonly icons: Readonly<
    Record<string, { readonly body: string; readonly width?: number; readonly height?: number }>
  >;
}
const filled = JSON.parse(readFileSync(require.resolve('@iconify-json/flat-color-icons/icons.json'), 'utf8')) as Filled;

function sampled<T>(items: readonly T[], count: number, seed: number): T[] {
  const random = seededRandom(seed);
  const left = [...items];
  return Array.from(
    { length: Math.min(count, items.length) },
    () => left.splice(Math.floor(random.next() * left.length), 1)[0]!,
  );
}
const drawings: { name: string; svg: string }[] = [
  ...sampled(
    readdirSync(lines)
      .filter((name) => name.endsWith('.svg'))
      .sort(),
    250,
    1,
  ).map((name) => ({
    name,
    svg: readFileSync(new URL(name, lines), 'utf8'),
  })),
  ...sampled(Object.entries(filled.icons), 250, 2).map(([name, icon]) => {
    const [w, h] = [icon.width ?? filled.width ?? 16, icon.height ?? filled.height ?? 16];
    return {
      name,
      svg: `<svg xmlns="http://www.w3.org/2000/svg" width="${w}" height="${h}" viewBox="0 0 ${w} ${h}">${icon.body}</svg>`,
    };
  }),
];

const PX = 160;
function mask(svg: string): Uint8Array {
  const { pixels } = new Resvg(svg, { fitTo: { mode: 'width', value: PX } }).render();
  return Uint8Array.from({ length: pixels.length / 4 }, (_, i) => Number(pixels[4 * i + 3]! > 127));
}
/** The parts that were read, drawn again as they were read. */
function redrawn(piece: Piece, sizeMm: readonly [number, number]): string {
  const paths = piece.drawing.parts.map((part) =>
    part.kind === 'area'
      ? `<path d="${part.path}" fill-rule="${part.fillRule}"/>`
      : `<path d="${part.path}" fill="none" stroke="#000" stroke-width="${part.strokeMm}" stroke-linecap="round" stroke-linejoin="round"/>`,
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${sizeMm.join(' ')}">${paths.join('')}</svg>`;
}

describe('drawings from elsewhere', () => {
  it('become parts, nearly all of them; the rest say why', () => {
    const failed = drawings.flatMap(({ name, svg }) => {
      const read = readSvg(svg, 'x', name);
      if (read.ok) {
        expect(read.value.drawing.parts.length).toBeGreaterThan(0);
        return [];
      }
      expect(read.problem).toMatch(/\w.*\.$/);
      return [`${name}: ${read.problem}`];
    });
    expect(failed.length / drawings.length).toBeLessThanOrEqual(0.01);
  });

  it('cover what a renderer paints of them', () => {
    const shares = sampled(drawings, 90, 3).flatMap(({ name, svg }) => {
      const read = readSvg(svg, 'x', name);
      if (!read.ok) return [];
      const [, w, h] = /viewBox="0 0 ([\d.]+) ([\d.]+)"/.exec(svg)!.map(Number);
      const { unitMm } = read.value.drawing;
      const [theirs, ours] = [mask(svg), mask(redrawn(read.value, [w! * unitMm, h! * unitMm]))];
      let [both, either] = [0, 0];
      theirs.forEach((value, i) => {
        both += value & ours[i]!;
        either += value | ours[i]!;
      });
      return [{ name, share: both / either }];
    });
    expect(shares.length).toBeGreaterThan(80);
    expect(shares.filter(({ share }) => share < 0.97)).toEqual([]);
  });
});
