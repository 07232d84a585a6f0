import { readdirSync, readFileSync } from 'node:fs';
import { readSvg } from '../drawing/index.ts';
import { EMPTY_BOX, newEntry, refOf, type ThreadBox } from '../materials/index.ts';
import { seededRandom } from '../measure/index.ts';
import { readPiece, type Piece, type PieceRecord } from '../piece/index.ts';
import type { Plan, ShadeNeed } from '../thread/index.ts';
import { planOf } from './plans.ts';

/** A demo piece, as it is checked in. */
export function demoPiece(name: string): Piece {
  const read = readPiece(readFileSync(new URL(`../../../demo/pieces/${name}.junctura.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.problem);
  return read.value;
}

/** The names of all demo pieces. */
export const DEMO_NAMES: readonly string[] = readdirSync(new URL('../../../demo/pieces/', import.meta.url))
  .map((file) => file.replace('.junctura.json', ''))
  .sort();

/** The body of an SVG of 900 mm as a piece. */
export function svgPiece(body: string, change: Partial<Piece> = {}): Piece {
  const text = `<svg xmlns="http://www.w3.org/2000/svg" width="900mm" viewBox="0 0 900 900">${body}</svg>`;
  const read = readSvg(text, 'x', 'x');
  if (!read.ok) throw new Error(read.problem);
  return { ...read.value, ...change };
}

/** Discs strewn over a cloth, some of them raised work. */
export function strewnDiscs(seed: number, count: number, spread: number): { piece: Piece; plan: Plan } {
  const random = seededRandom(seed);
  const discs = Array.from(
    { length: count },
    () =>
      `<circle cx="${random.between(0, spread)}" cy="${random.between(0, spread)}" r="${random.between(2, 8)}" fill="#a33"/>`,
  );
  const piece = svgPiece(discs.join(''));
  return { piece, plan: planOf(piece) };
}

/** A box that holds a number of skeins of every shade that is needed, in two lots. */
export function boxFor(needs: readonly ShadeNeed[], skeins: number): ThreadBox {
  return {
    ...EMPTY_BOX,
    entries: needs.flatMap(({ shade, thread }, i) => [
      newEntry({ id: `e${i}`, shade: refOf(shade), thread, lot: 'A1', whole: skeins }),
      newEntry({ id: `f${i}`, shade: refOf(shade), thread, lot: 'B2', partM: 1 }),
    ]),
  };
}

/** A sitting on the first of November, with the needles that were laid out and came in again. */
export function sittingRecord(out: number | null, back: number | null): PieceRecord {
  return [
    { id: 'a', at: '2026-11-01T19:00:00.000Z', type: 'sitting-begun', needles: out },
    { id: 'b', at: '2026-11-01T20:00:00.000Z', type: 'sitting-ended', needles: back },
  ];
}
