import type { PlannedPart } from './plannedPart.ts';

/** Whether a colour is worked in a part: in one of its layers or shades. */
export function usesColour({ part, passes }: PlannedPart, colourId: string): boolean {
  return passes.some(({ threads }) => threads.some(({ colour }) => (colour ?? part.colour) === colourId));
}
