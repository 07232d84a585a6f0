import { offset, type Region } from '../../geometry/index.ts';
import type { StitchContext } from '../kind.ts';
import type { MoveSink } from '../moves.ts';
import { workChain } from './chainLine.ts';
import { rowsAsLines } from './rowsAsLines.ts';
import { workRunning } from './runningLine.ts';
import { workSatin } from './satinSpans.ts';

export type Padding = 'satin' | 'running' | 'chain';

/** Stitches of padding, mm: shorter than usual, as they are covered. */
const STITCH_MM = 2.2;
const GAP_MM = 0.6;
/** How far padding rows lie apart, in laid widths. */
const SPACING: Readonly<Record<Padding, number>> = { satin: 1, running: 1.3, chain: 2.2 };
/** How high a layer stands, in heights of its thread, pressed by what lies over it. */
const HEIGHT: Readonly<Record<Padding, number>> = { satin: 0.85, running: 0.55, chain: 1.5 };

/** How wide a stitch of padding is, in laid widths: each layer lies half of it inside the last. */
const WIDTH: Readonly<Record<Padding, number>> = { satin: 1, running: 1, chain: 2.4 };

/**
 * Works layers of padding, each inside the last, turned across the one below so that they hold each other.
 * @returns how high they stand, mm
 */
export function workPadding(
  region: Region,
  { padding, layers }: { padding: Padding; layers: number },
  context: StitchContext,
  sink: MoveSink,
): number {
  const { laidMm, heightMm } = context;
  const spacingMm = SPACING[padding] * laidMm;
  let height = 0;
  for (let layer = 1; layer <= layers; layer++) {
    const inner = offset(region, (-laidMm * (1 + layer * WIDTH[padding])) / 2);
    if (inner.length === 0) break;
    // The uppermost layer lies across what covers it.
    const angleRad = context.angleRad + ((layers - layer) % 2 === 0 ? Math.PI / 2 : 0);
    if (height > 0) sink.lift(height);
    if (padding === 'satin')
      workSatin(inner, { spacingMm, from: 'edge' }, { ...context, angleRad, field: undefined }, sink);
    else {
      const rows = rowsAsLines(inner, { angleRad }, spacingMm);
      if (padding === 'chain') workChain(rows, STITCH_MM, context, sink);
      else workRunning(rows, { stitchMm: STITCH_MM, gapMm: GAP_MM }, sink);
    }
    height += HEIGHT[padding] * heightMm;
  }
  return height;
}
