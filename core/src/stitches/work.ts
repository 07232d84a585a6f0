import type { StitchContext, StitchShape } from './kind.ts';
import { MoveRecorder, type StitchPath } from './moves.ts';
import { PATHS } from './paths.ts';
import { resolveParams, type GivenParams } from './params.ts';
import { stitchKind, type StitchId } from './registry.ts';

/**
 * The path of a stitch over a shape, with parameters completed by their defaults.
 * @param recorder takes the path after what is already in it
 */
export function workStitch(
  id: StitchId,
  shape: StitchShape,
  given: GivenParams,
  context: StitchContext,
  recorder = new MoveRecorder(),
): StitchPath {
  PATHS[id](shape, resolveParams(stitchKind(id).params, given, context.laidMm), context, recorder);
  return recorder.path();
}
