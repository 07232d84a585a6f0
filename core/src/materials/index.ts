export { clothOf, CLOTHS, DEFAULT_CLOTH, leavesHole, tracingThrough, travelBehindMm, type Cloth } from './cloths.ts';
export {
  AIR_MM,
  HOOP_RANGE_MM,
  HOOP_SIZES_MM,
  hoopNeeds,
  innerDiameterMm,
  innerHalvesMm,
  outerHalvesMm,
  OVAL_SIZES_MM,
  TAPE,
  WARP_LIMIT,
  warpOf,
  type HoopNeeds,
  type HoopSize,
} from './hoops.ts';
export { DEFAULT_SLACK, SECONDS, WORKING_LENGTH } from './lengths.ts';
export { comesOutInWater, DEFAULT_MARK, markOf, MARKS, type Mark, type Remover } from './marks.ts';
export { NEEDLE_NAMES, needleFor, bluntNeedle, wrappingNeedle, type Needle } from './needles.ts';
export {
  EIDERLIGHT,
  isSameShade,
  nearestShade,
  nearestShades,
  RANGES,
  rangeOf,
  refOf,
  SCOURWHITE,
  shadeOf,
  THRUMWICK,
  type Shade,
  type ShadeRef,
  type ThreadRange,
} from './ranges.ts';
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
