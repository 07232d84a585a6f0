import { formatNumber, plural } from '@junctura/core/measure';

export const notMade = (why: string): string => `It could not be made. ${why}`;

export const previewOf = (piece: string): string => `Preview of ${piece}`;

export const cardSize = (width: number, height: number): string =>
  `${formatNumber(width)} × ${formatNumber(height)} dots, with the name, size, hours and thread of the piece.`;

export const sizeAndHoop = (width: string, height: string, hoop: string | null): string =>
  hoop === null ? `${width} × ${height}` : `${width} × ${height}, in a ${hoop} hoop`;

export const stitchesAndThread = (stitches: number, thread: string): string =>
  `${plural(stitches, 'stitch', 'stitches')} in ${thread} of thread`;

export const coloursAndHours = (colours: number, hours: string): string =>
  `${plural(colours, 'colour')}, ${hours} by hand`;
