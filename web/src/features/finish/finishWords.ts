import type { FinishStep } from '@junctura/core/finish';
import { formatLength, formatThread, plural, roundTo, type UnitSystem } from '@junctura/core/measure';
import type { End } from '@junctura/core/piece';

export const END_NAMES: Readonly<Record<End, { readonly name: string; readonly says: string }>> = {
  framed: { name: 'Framed in its hoop', says: 'the cloth gathered behind, a disc over it' },
  board: { name: 'On a board', says: 'padded, laced behind, ready for a frame' },
  patch: { name: 'Patch', says: 'edged through all layers, sewn onto something' },
  ornament: { name: 'Stuffed ornament', says: 'two pieces, filled, on a cord' },
  card: { name: 'Card', says: 'in a window, or on the whole front' },
  cushion: { name: 'Cushion or bag', says: 'a backed panel with a seam all round' },
  garment: { name: 'On a garment', says: 'backed, its knots anchored' },
  whitework: { name: 'Edged cloth', says: 'scallops all round, a fringe if you like' },
};

/** What of a step's amounts is told beside its text, in this order. */
const TOLD: Readonly<Record<string, (value: number, units: UnitSystem) => string>> = {
  stitches: (value) => plural(Math.round(value), 'stitch', 'stitches'),
  threads: (value) => `${Math.round(value)} threads across`,
  threadMm: (value, units) => `${formatThread(value, units)} of thread`,
  loads: (value) => plural(Math.round(value), 'needle load'),
  skeins: (value) => plural(Math.round(value), 'skein'),
  outlineMm: (value, units) => `${formatLength(value, units)} round`,
  edgeMm: (value, units) => `${formatLength(value, units)} of edge`,
  areaMm2: (value) => `${roundTo(value / 100, value > 10_000 ? 0 : 1)} cm²`,
  volumeMm3: (value) => `${Math.round(value / 1000)} cm³`,
  yarnMm: (value, units) => `${formatThread(value, units)} of yarn`,
  longMm: (value, units) => `${formatLength(value, units)} long`,
  tapeMm: (value, units) => `${formatLength(value, units)} of tape`,
  cordMm: (value, units) => `${formatLength(value, units)} of cord`,
  rows: (value) => plural(Math.round(value), 'row'),
  tails: (value) => `about ${plural(2 * Math.round(value), 'tail')}`,
};

/** The amounts of a step in words. */
export function amountsInWords({ amounts }: FinishStep, units: UnitSystem): string {
  return Object.entries(TOLD)
    .filter(([name]) => (amounts[name] ?? 0) > 0)
    .map(([name, say]) => say(amounts[name]!, units))
    .join(' · ');
}
