import { formatLength, formatNumber, formatThread, plural, type UnitSystem } from '../measure/index.ts';
import type { FinishStep } from './kinds.ts';

/** Which of a step’s amounts are told beside its text, in this order. */
const TOLD: Readonly<Record<string, (value: number, units: UnitSystem) => string>> = {
  stitches: (value) => plural(Math.round(value), 'stitch', 'stitches'),
  threads: (value) => `${formatNumber(value)} threads across`,
  threadMm: (value, units) => `${formatThread(value, units)} of thread`,
  loads: (value) => plural(Math.round(value), 'needleful'),
  skeins: (value) => plural(Math.round(value), 'skein'),
  outlineMm: (value, units) => `${formatLength(value, units)} round`,
  edgeMm: (value, units) => `${formatLength(value, units)} of edge`,
  areaMm2: (value) => `${formatNumber(value / 100, value > 10_000 ? 0 : 1)} cm²`,
  volumeMm3: (value) => `${formatNumber(value / 1000)} cm³`,
  yarnMm: (value, units) => `${formatThread(value, units)} of yarn`,
  longMm: (value, units) => `${formatLength(value, units)} long`,
  tapeMm: (value, units) => `${formatLength(value, units)} of tape`,
  cordMm: (value, units) => `${formatLength(value, units)} of cord`,
  rows: (value) => plural(Math.round(value), 'row'),
  tails: (value) => `about ${plural(Math.round(value), 'tail')}`,
};

/** The amounts of a step in words. */
export function amountsInWords({ amounts }: Pick<FinishStep, 'amounts'>, units: UnitSystem): string {
  return Object.entries(TOLD)
    .filter(([name]) => (amounts[name] ?? 0) > 0)
    .map(([name, told]) => told(amounts[name]!, units))
    .join(' · ');
}
