export {
  crushedParts,
  findPositions,
  isRaised,
  orderPositions,
  worksOf,
  type Crushed,
  type HoopPosition,
} from './positions.ts';
