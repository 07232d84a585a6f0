export { clothShowing } from './coverage.ts';
export {
  paceOf,
  type PictureGuide,
  type StitchContext,
  type Called,
  type StitchKind,
  type StitchShape,
  type WorkedOn,
} from './kind.ts';
export {
  measurePath,
  quantitiesTogether,
  type MeasuredPath,
  type MeasureSettings,
  type Pace,
  type Quantities,
} from './measurePath.ts';
export {
  firstPlace,
  lastPlace,
  Move,
  MoveRecorder,
  placesOnPath,
  splitByShade,
  type MoveSink,
  type StitchPath,
} from './moves.ts';
export {
  paramKey,
  paramsSchema,
  resolveParams,
  standardOf,
  type ChoiceParam,
  type GivenParams,
  type NumberParam,
  type ParamTable,
} from './params.ts';
export { isStitchId, STITCH_IDS, STITCHES, stitchKind, type StitchId } from './registry.ts';
export { restsOn, withWhatTheyRestOn } from './restsOn.ts';
export { neighbourhood, patchesOf, type Neighbourhood } from './shared/neighbourhood.ts';
export { flyAdvanceMm } from './shared/flies.ts';
export { coilThicknessMm, knotDiameterMm, wrapsToCover } from './shared/knotSize.ts';
export { WIDEST_FIELD_MM2 } from './shared/limits.ts';
export { workStitch } from './work.ts';
