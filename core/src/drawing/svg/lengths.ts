import { MM_PER_INCH } from '../../measure/index.ts';

/** Without a physical size, this many user units are an inch. */
const UNITS_PER_INCH = 96;
export const PLAIN_UNIT_MM = MM_PER_INCH / UNITS_PER_INCH;

const PHYSICAL_MM: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  q: 0.25,
  in: MM_PER_INCH,
  pt: MM_PER_INCH / 72,
  pc: MM_PER_INCH / 6,
};

export interface SvgLength {
  readonly value: number;
  readonly unit: string;
}

export function readSvgLength(text: string | undefined): SvgLength | null {
  const match = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*([a-z%]*)\s*$/i.exec(text ?? '');
  return match ? { value: Number(match[1]), unit: match[2]!.toLowerCase() } : null;
}

/** A length in mm where it has a physical unit, else null. */
export function physicalMm(text: string | undefined): number | null {
  const length = readSvgLength(text);
  const unitMm = length && PHYSICAL_MM[length.unit];
  return unitMm ? length.value * unitMm : null;
}

/**
 * A length in user units; a percentage is of `whole`, physical units count 96 to the inch.
 * @returns the fallback where the text is no length
 */
export function userUnits(text: string | undefined, whole: number, fallback: number): number {
  const length = readSvgLength(text);
  if (!length) return fallback;
  if (length.unit === '%') return (length.value / 100) * whole;
  const unitMm = PHYSICAL_MM[length.unit];
  if (unitMm) return (length.value * unitMm) / PLAIN_UNIT_MM;
  return length.unit === 'em' || length.unit === 'rem' ? length.value * 16 : length.value;
}
