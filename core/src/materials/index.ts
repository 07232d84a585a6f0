export { clothOf, CLOTHS, DEFAULT_CLOTH, leavesHole, travelBehindMm, type Cloth } from './cloths.ts';
export { AIR_MM, clothCutMm, HOOP_RANGE_MM, HOOP_SIZES_MM, innerDiameterMm } from './hoops.ts';
export { DEFAULT_SLACK, SECONDS, WORKING_LENGTH } from './lengths.ts';
export { DEFAULT_MARK, markOf, MARKS, type Mark } from './marks.ts';
export { NEEDLE_NAMES, needleFor, bluntNeedle, wrappingNeedle, type Needle } from './needles.ts';
export { nearestShade, nearestShades, shadeOf, THRUMWICK, type Shade, type ThreadRange } from './ranges.ts';
export {
  bundleDiameterMm,
  FOLDED_STRANDS,
  laidWidthMm,
  strandChoices,
  strandWidthMm,
  THREAD_KINDS,
  threadKind,
  type ThreadKind,
} from './threads.ts';
