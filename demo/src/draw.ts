import { fitToHoop, readSvg } from '@junctura/core/drawing';
import { refOf, shadeOf } from '@junctura/core/materials';
import { plainPass, type PaletteColour, type Part, type Pass, type Piece } from '@junctura/core/piece';
import type { StitchId } from '@junctura/core/stitches';

/** Short ways to write the demo drawings. Sizes in mm. */

export function area(id: string, d: string, fill: string): string {
  return `<path id="${id}" d="${d}" fill="${fill}"/>`;
}

export function line(id: string, d: string, stroke: string, width: number, dashes = ''): string {
  const dash = dashes === '' ? '' : ` stroke-dasharray="${dashes}"`;
  return `<path id="${id}" d="${d}" fill="none" stroke="${stroke}" stroke-width="${width}" stroke-linecap="round"${dash}/>`;
}

export function dots(id: string, places: readonly (readonly [x: number, y: number])[], stroke: string): string {
  const d = places.map(([x, y]) => `M${x} ${y}h0`).join('');
  return `<path id="${id}" d="${d}" stroke="${stroke}" stroke-width="1.6" stroke-linecap="round"/>`;
}

export function group(transform: string, ...body: string[]): string {
  return `<g transform="${transform}">${body.join('')}</g>`;
}

export function drawing(title: string, size: number, body: readonly string[]): string {
  const half = size / 2;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${size}mm" height="${size}mm" viewBox="${-half} ${-half} ${size} ${size}">`,
    `  <title>${title}</title>`,
    ...body.map((element) => `  ${element}`),
    '</svg>',
    '',
  ].join('\n');
}

/** A layer in stranded cotton, with what differs from the usual. */
export function worked(stitch: StitchId, strands: number, more: Partial<Pass> = {}): Pass {
  return { ...plainPass(stitch, 'stranded-cotton', strands), ...more };
}

/** What a demo piece is besides its drawing. */
export interface Setting {
  readonly id: string;
  readonly name: string;
  readonly change: Partial<Pick<Piece, 'use' | 'finish' | 'cloth' | 'mark' | 'hoop'>>;
  /** Shades by the colour as drawn. */
  readonly shades: Readonly<Record<string, string>>;
  /** Names by part id; other parts are called after their id. */
  readonly names?: Readonly<Record<string, string>>;
  /** What is chosen for a part; null: as proposed. */
  readonly passes?: (id: string) => Part['passes'];
}

/** Reads a demo drawing as the application would, and settles it. */
export function pieceOf(svg: string, file: string, setting: Setting): Piece {
  const read = readSvg(svg, setting.id, setting.name);
  if (!read.ok) throw new Error(read.problem);
  const piece: Piece = { ...read.value, ...setting.change };
  const parts = piece.drawing.parts.map((part): Part => {
    const name = setting.names?.[part.id] ?? titled(part.id);
    return { ...part, name, passes: setting.passes?.(part.id) ?? null };
  });
  return {
    ...piece,
    drawing: { ...piece.drawing, source: file, parts },
    placement: piece.hoop ? fitToHoop(piece, piece.hoop) : piece.placement,
    palette: piece.palette.map((colour) => ({ ...colour, shade: shadeIn(setting, colour.hex) })),
  };
}

function shadeIn({ shades }: Setting, hex: string): PaletteColour['shade'] {
  const shade = shades[hex] === undefined ? undefined : shadeOf(shades[hex]);
  return shade ? refOf(shade) : null;
}

/** `leaf-2-vein` becomes `Leaf 2 vein`. */
function titled(id: string): string {
  const words = id.replaceAll('-', ' ');
  return words.charAt(0).toUpperCase() + words.slice(1);
}
