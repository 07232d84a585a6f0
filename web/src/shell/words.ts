import { formatNumber, formatPercent } from '@junctura/core/measure';

export const backTo = (when: string): string => `Go back to ${when}`;

export const pictureNotMade = (why: string): string => `The picture could not be made. ${why} Try a smaller hoop.`;

export const painting = (share: number): string => `Painting the picture: ${formatPercent(share)}`;

export const undo = (edit: string): string => `Undo “${edit}”`;

export const toCheck = (count: number): string => `${formatNumber(count)} to check`;

export const notSaved = (piece: string, isConflict: boolean): string =>
  isConflict
    ? `“${piece}” could not be saved in this browser, because another tab changed it. If you leave now, your last changes are lost unless you save the piece to a file first.`
    : `“${piece}” could not be saved in this browser. If you leave now, your last changes are lost unless you save the piece to a file first.`;

export const size = (width: string, height: string): string => `${width} × ${height}`;

export const reading = (file: string): string => `Reading ${file}…`;

export const altDigits = (last: number): string => `Alt 1 … Alt ${last}`;
