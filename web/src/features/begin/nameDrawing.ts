import { layOutLetters, type LetterFont } from '@junctura/core/drawing';
import { boxOf, flattenPath } from '@junctura/core/geometry';
import { failure, success, type Outcome } from '@junctura/core/measure';

/** How a name or a word is laid out. */
export interface NameLayout {
  readonly text: string;
  readonly way: 'line' | 'arc';
  /** The inside of the drawing of what goes round it, an SVG of 100 × 100; null: nothing does. */
  readonly frame: string | null;
  readonly colour: string;
}

/** The side of the drawing in its own units, and the room for the letters in its middle: within a frame, and alone. */
const SIDE = 100;
const WITHIN = { frame: { width: 54, height: 34 }, alone: { width: 92, height: 60 } } as const;
/** Letters are laid out this high and then fitted; along an arc of this radius. */
const LAID_MM = 10;
const ARC_MM = 34;
const PEN = 0.9;

/** A name as the text of an SVG file, and how high its letters are in it: as a share of the side. */
export interface NameDrawing {
  readonly svg: string;
  readonly letterShare: number;
}

/**
 * A name as a drawing that a person could have brought: its letters in the order in which they are written, in the middle of what goes round it, as large as
 * there is room.
 */
export function nameDrawing(font: LetterFont, { text, way, frame, colour }: NameLayout): Outcome<NameDrawing> {
  const laid = layOutLetters(font, text, {
    heightMm: LAID_MM,
    spacingMm: 0.4,
    arcMm: way === 'arc' ? ARC_MM : 0,
    along: null,
  });
  if (!laid.ok) return laid;
  const box = boxOf(laid.value.flatMap(({ path }) => flattenPath(path, 0.05).map(({ points }) => points)));
  if (!box) return failure('Type a name or a word first.');
  const room = frame === null ? WITHIN.alone : WITHIN.frame;
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const scale = Math.min(room.width / Math.max(width, 1), room.height / Math.max(height, 1));
  const [x, y] = [SIDE / 2 - (scale * (box.minX + box.maxX)) / 2, SIDE / 2 - (scale * (box.minY + box.maxY)) / 2];
  const letters = laid.value.map(({ kind, path }) =>
    kind === 'area'
      ? `<path d="${path}" fill="${colour}" fill-rule="evenodd"/>`
      : `<path d="${path}" fill="none" stroke="${colour}" stroke-width="${PEN / scale}" stroke-linecap="round"/>`,
  );
  const inside = `<g transform="translate(${x} ${y}) scale(${scale})">${letters.join('')}</g>`;
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${SIDE} ${SIDE}">${frame ?? ''}${inside}</svg>`;
  return success({ svg, letterShare: (LAID_MM * scale) / SIDE });
}

/** What is drawn in a drawing, without the element about it and its title. */
export const insideOf = (svg: string): string =>
  svg
    .replace(/^[^]*?<svg[^>]*>/, '')
    .replace(/<\/svg>\s*$/, '')
    .replace(/<title>[^]*?<\/title>/, '');
