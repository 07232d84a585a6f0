import { formatNumber } from './numbers.ts';

export const MM_PER_INCH = 25.4;
const MM_PER_YARD = 914.4;

/** How the person reads a ruler. */
export type UnitSystem = 'metric' | 'inch';

const SIXTEENTHS = [
  '',
  '1/16',
  '1/8',
  '3/16',
  '1/4',
  '5/16',
  '3/8',
  '7/16',
  '1/2',
  '9/16',
  '5/8',
  '11/16',
  '3/4',
  '13/16',
  '7/8',
  '15/16',
] as const;

/** Rounds to a number of decimal places and drops a negative zero. */
export function roundTo(value: number, decimals: number): number {
  const factor = 10 ** decimals;
  return Math.round(value * factor) / factor + 0;
}

/**
 * A length on the cloth as one reads a ruler: below 10 mm in tenths, else in whole millimetres,
 * from 100 mm in centimetres; in inches to the nearest sixteenth.
 */
export function formatLength(lengthMm: number, system: UnitSystem): string {
  if (system === 'inch') return `${inchFraction(lengthMm / MM_PER_INCH)} in`;
  const size = Math.abs(lengthMm);
  if (size < 9.95) return `${formatNumber(lengthMm, 1)} mm`;
  if (size < 99.5) return `${formatNumber(lengthMm)} mm`;
  return `${formatNumber(lengthMm / 10, 1)} cm`;
}

/** A fine size (a stitch, a thread, a line), always in millimetres: in hundredths below 2 mm, else in tenths. */
export function formatFine(lengthMm: number): string {
  return `${formatNumber(lengthMm, Math.abs(lengthMm) < 2 ? 2 : 1)} mm`;
}

/** A length of thread: metres, or yards; short of a metre in centimetres or inches. */
export function formatThread(lengthMm: number, system: UnitSystem): string {
  if (Math.abs(lengthMm) < 950) {
    return system === 'inch' ? `${formatNumber(lengthMm / MM_PER_INCH)} in` : `${formatNumber(lengthMm / 10)} cm`;
  }
  const [value, unit] = system === 'inch' ? [lengthMm / MM_PER_YARD, 'yd'] : [lengthMm / 1000, 'm'];
  return `${formatNumber(value, Math.abs(value) < 9.95 ? 1 : 0)} ${unit}`;
}

function inchFraction(inches: number): string {
  const sign = inches < 0 ? '−' : '';
  const sixteenths = Math.round(Math.abs(inches) * 16);
  const whole = Math.floor(sixteenths / 16);
  const part = SIXTEENTHS[sixteenths % 16] ?? '';
  if (whole === 0 && part === '') return '0';
  return sign + [whole === 0 ? '' : String(whole), part].filter(Boolean).join(' ');
}

const UNIT_MM: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  '″': MM_PER_INCH,
};

/**
 * Reads a length as people write it: `120`, `12 cm`, `4 1/2 in`, `4.5"`, `3/8`.
 * A number without a unit is millimetres, or inches where the person uses inches.
 * @returns millimetres, or null where the text is not a length.
 */
export function parseLength(text: string, system: UnitSystem): number | null {
  const match = /^\s*(-?)(?:(\d+(?:[.,]\d+)?)(?:\s+(\d+\/\d+))?|(\d+\/\d+))\s*([a-z"″]*)\s*$/i.exec(text);
  if (!match) return null;
  const [, sign, whole, besides, alone, unitText] = match;
  const [over, under] = (besides ?? alone ?? '0/1').split('/').map(Number);
  const amount = Number((whole ?? '0').replace(',', '.')) + over! / under!;
  const unit = unitText === '' || unitText === undefined ? undefined : unitText.toLowerCase();
  const unitMm = unit === undefined ? (system === 'inch' ? MM_PER_INCH : 1) : UNIT_MM[unit];
  if (unitMm === undefined || !Number.isFinite(amount)) return null;
  return (sign === '-' ? -1 : 1) * amount * unitMm;
}
