import { offset, simplifyRegion, WOBBLE_MM } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { workPadding, type Padding } from '../../shared/padding.ts';
import { workSatin } from '../../shared/satinSpans.ts';
import { workSplit } from '../../shared/splitLine.ts';

const EDGE_STITCH_MM = 2.4;
const NO_SPOTS = new Float64Array(0);

/** Padding, a firm edge, and satin over both. */
export function workSatinPadded(
  { region }: StitchShape,
  values: { spacingMm: number; padding: Padding; layers: number; edge: 'split' | 'none' },
  context: StitchContext,
  sink: MoveSink,
): void {
  const { spacingMm, padding, layers, edge } = values;
  const outline = simplifyRegion(region, WOBBLE_MM);
  const heightMm = workPadding(outline, { padding, layers: Math.round(layers) }, context, sink);
  if (edge === 'split') {
    sink.lift(0);
    const lines = offset(outline, -context.laidMm * 0.6).map((points) => ({ points, closed: true }));
    workSplit({ region: [], lines, spots: NO_SPOTS }, EDGE_STITCH_MM, context, sink);
  }
  sink.lift(heightMm);
  workSatin(region, { spacingMm, from: 'middle' }, context, sink);
  sink.lift(0);
}
