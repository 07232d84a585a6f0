import type { StitchContext, StitchShape } from './kind.ts';
import { MoveRecorder, type StitchPath } from './moves.ts';
import { resolveParams, type GivenParams } from './params.ts';
import { stitchKind, type StitchId } from './registry.ts';

/** The path of a stitch over a shape, with parameters completed by their defaults. */
export function workStitch(id: StitchId, shape: StitchShape, given: GivenParams, context: StitchContext): StitchPath {
  const kind = stitchKind(id);
  const recorder = new MoveRecorder();
  kind.work(shape, resolveParams(kind.params, given, context.laidMm), context, recorder);
  return recorder.path();
}
