import { formatNumber, formatTyped, plural } from '@junctura/core/measure';

/** In a field whose value differs among what is picked. */
export const MIXED = 'mixed';

export const typedMm = (mm: number): string => `${formatTyped(mm)} mm`;

export const lengthRange = (least: string, most: string): string => `Enter ${least} to ${most}`;

export const redo = (edit: string): string => `Redo: ${edit}`;

export const undo = (edit: string): string => `Undo: ${edit}`;

export const numberRange = (least: number, most: number, unit: string): string => {
  const range = `Enter ${formatNumber(least, 2)} to ${formatNumber(most, 2)}`;
  return unit ? `${range} ${unit}` : range;
};

export const errorOfShades = (shades: number, difference: number): string =>
  `With ${plural(shades, 'shade')}, the threads differ from the picture by ${formatNumber(difference, 1)} on average.`;

export const shades = (count: number): string => plural(count, 'shade');
