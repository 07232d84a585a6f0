import { readFileSync } from 'node:fs';
import { Planner, planLevels, withinHours, type VersionWays } from '@junctura/core/advice';
import { fitToHoop, readSvg, tidy } from '@junctura/core/drawing';
import { plainHoop, type Piece } from '@junctura/core/piece';
import { USUAL_FACTORS } from '@junctura/core/work';
import { medianMs } from './median.ts';

const ROUNDS = 9;

function motif(name: string): Piece {
  const read = readSvg(readFileSync(`demo/motifs/${name}.svg`, 'utf8'), name, name);
  if (!read.ok) throw new Error(read.problem);
  const hoop = plainHoop(150, 12);
  return tidy({ ...read.value, hoop, placement: fitToHoop({ ...read.value, hoop }, hoop) }).piece;
}

/** Lines for the bench: the richest version within some hours, and the first version that is shown, against one plan. */
export function benchLevels(): string[] {
  return ['owl', 'butterfly', 'wreath-flowers'].flatMap((name) => {
    const piece = motif(name);
    const waysOf = (): VersionWays => ({ own: USUAL_FACTORS, pictures: new Map(), planner: new Planner() });
    const plan = medianMs(() => new Planner().plan(piece, USUAL_FACTORS), ROUNDS);
    const within = medianMs(() => {
      const ways = waysOf();
      withinHours(planLevels(piece, ways), 4, ways);
    }, ROUNDS);
    let firstMs = 0;
    const first = medianMs(() => {
      const begun = performance.now();
      const ways = waysOf();
      planLevels(piece, ways, () => (firstMs = performance.now() - begun));
    }, 3);
    if (!(first > 0)) throw new Error('benchLevels: nothing was planned');
    return [
      `the richest ${name} within 4 hours / planning it once: ${(within / plan).toFixed(2)}`,
      `the first version of ${name} shown / planning it once: ${(firstMs / plan).toFixed(2)}`,
    ];
  });
}
