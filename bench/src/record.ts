import { Planner } from '@junctura/core/advice';
import { workSoFar } from '@junctura/core/log';
import { recordSchema, type Piece, type PieceRecord } from '@junctura/core/piece';
import { USUAL_FACTORS } from '@junctura/core/work';
import { medianRatio } from './median.ts';

const ENTRIES = 20_000;

/** A line for the bench: reading off a long record what is done, against parsing it. */
export function benchRecord(piece: Piece): string[] {
  const { plan } = new Planner().plan(piece, USUAL_FACTORS);
  const steps = plan.order;
  const at = (i: number): string => new Date(1.7e12 + i * 90_000).toISOString();
  const entries = Array.from({ length: ENTRIES }, (_, i) =>
    i % 5 === 4
      ? { type: 'voided', id: `e${i}`, at: at(i), entry: `e${i - 2}` }
      : { type: 'step-done', id: `e${i}`, at: at(i), step: steps[i % steps.length]!.key },
  );
  const text = JSON.stringify(entries);
  const record: PieceRecord = recordSchema.parse(entries);
  let sink = 0;
  const ratio = medianRatio(
    () => (sink += workSoFar(record, plan).done.length),
    () => (sink += recordSchema.parse(JSON.parse(text)).length),
  );
  if (sink === 0) throw new Error('nothing was read');
  return [`reading off ${ENTRIES} entries what is done / parsing them: ${ratio.toFixed(2)}`];
}
