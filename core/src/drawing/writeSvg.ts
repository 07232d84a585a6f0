import { boxOf, flattenPath } from '../geometry/index.ts';
import { soundText } from '../measure/index.ts';
import type { Part, Piece } from '../piece/index.ts';

/** Room round the drawing in the file, mm. */
const EDGE_MM = 2;

const ESCAPED: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  '\t': '&#9;',
  '\n': '&#10;',
  '\r': '&#13;',
};

/** A text as it may stand in XML, in an attribute too; what no XML may hold is left out of it. */
export function escapedXml(text: string): string {
  return soundText(text).replace(/[&<>"\t\n\r]/g, (sign) => ESCAPED[sign]!);
}

/**
 * The drawing as SVG at true size: each part a path with its name, and in `data-junctura` all else that is kept of it and of the
 * piece, so that it comes back unchanged. A picture below the drawing stays behind: it would make the file large.
 */
export function writeSvg(piece: Piece): string {
  const { parts, ...drawing } = piece.drawing;
  const box = boxOf(parts.flatMap((part) => flattenPath(part.path, 0.05).map(({ points }) => points)));
  const [x, y] = box ? [box.minX - EDGE_MM, box.minY - EDGE_MM].map(Math.floor) : [0, 0];
  const [width, height] = box ? [Math.ceil(box.maxX + EDGE_MM) - x!, Math.ceil(box.maxY + EDGE_MM) - y!] : [10, 10];
  const { scale } = piece.placement;
  const rest = { piece: { ...piece, drawing: { ...drawing, underlay: null } } };
  const hexOf = new Map(piece.palette.map(({ id, hex }) => [id, hex]));
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width! * scale}mm" height="${height! * scale}mm" viewBox="${x} ${y} ${width} ${height}" data-junctura="${escapedXml(JSON.stringify(rest))}">`,
    `  <title>${escapedXml(piece.name)}</title>`,
    ...parts.map((part) => `  ${element(part, hexOf.get(part.colour) ?? '#000000')}`),
    '</svg>',
    '',
  ].join('\n');
}

function element(part: Part, hex: string): string {
  const { path, ...kept } = part;
  const paint =
    part.kind === 'area'
      ? `fill="${hex}" fill-rule="${part.fillRule}"`
      : `fill="none" stroke="${hex}" stroke-width="${part.strokeMm || 1}" stroke-linecap="round" stroke-linejoin="round"${part.dashed ? ' stroke-dasharray="2 2"' : ''}`;
  const hidden = part.shown ? '' : ' opacity="0.2"';
  return `<path id="${escapedXml(part.id)}" d="${path}" ${paint}${hidden} data-junctura="${escapedXml(JSON.stringify(kept))}"><title>${escapedXml(part.name)}</title></path>`;
}
