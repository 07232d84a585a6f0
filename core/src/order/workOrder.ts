import type { PlaceWithin } from '../geometry/index.ts';
import * as say from './words.ts';
/** What is worked in one go: a layer of a part in one shade, in one position of the hoop. All count from 0. */
export interface WorkStep {
  /** The id of the part. */
  readonly part: string;
  /** The layer among the passes of the part, and the shade among its threads. */
  readonly layer: number;
  readonly shade: number;
  /** The place of the hoop among its positions. */
  readonly position: number;
  /** Whether it is only what of the layer lies in this position. */
  readonly isPortion: boolean;
  /** The patch of a painted part that it is, from back to front along the fur, from 1; 0: the part is worked in one. */
  readonly zone: number;
}

/** The order of work: every figure that depends on what comes before what is computed from it. */
export type WorkOrder = readonly WorkStep[];

/** The name of a step's part, with the patch of it that the step is. */
export function nameOfStep(
  partName: string,
  { zone, zonePlace }: Pick<WorkStep, 'zone'> & { readonly zonePlace: PlaceWithin | null },
): string {
  return zone > 0 ? say.partAndZone(partName, zone, zonePlace) : partName;
}

/** What a step is called by rules, records and files. */
export function stepKey({ part, layer, shade, position, zone }: WorkStep): string {
  return `${part}:${layer}:${shade}:${position}${zone > 0 ? `:${zone}` : ''}`;
}
