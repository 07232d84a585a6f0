export { crushedParts, type Crushed } from './positions/crushing.ts';
export { findPositions, worksOf, type HoopPosition } from './positions/findPositions.ts';
export { orderPositions } from './positions/ordering.ts';
export { drawingOrder, raisedLast, type WorkOrder, type WorkStep } from './workOrder.ts';
