import type { PlannedPart, PlannedPass } from '@junctura/core/work';
import type { Pass, PassRole } from '@junctura/core/piece';
import { quantitiesTogether, type Quantities } from '@junctura/core/stitches';
import { timeOfLayer, type Plan, type WorkTime } from '@junctura/core/thread';

/** A layer that every part of some has: its role, which of that role it is, and how each part works it. */
export interface SharedLayer {
  readonly role: PassRole;
  readonly nth: number;
  /** One for each part, in their order; of one part that is picked there is one. */
  readonly passes: readonly PlannedPass[];
}

/** The layers that all of some parts have, in the order of working of the first. */
export function sharedLayers(parts: readonly Pick<PlannedPart, 'passes'>[]): SharedLayer[] {
  const [first, ...others] = parts;
  if (!first) return [];
  return first.passes.flatMap((pass, i): SharedLayer[] => {
    const nth = first.passes.slice(0, i).filter(({ role }) => role === pass.role).length;
    const passes = others.map((part) => part.passes[layerIndex(part.passes, pass.role, nth)]);
    const isShared = passes.every((own) => own !== undefined);
    return isShared ? [{ role: pass.role, nth, passes: [pass, ...passes] }] : [];
  });
}

/** Where the nth layer of a role lies among some layers; −1 where it is not there. */
export function layerIndex(passes: readonly Pick<Pass, 'role'>[], role: PassRole, nth: number): number {
  let left = nth;
  return passes.findIndex((pass) => pass.role === role && left-- === 0);
}

/** What several things have in common; null where they differ. */
export function inCommon<Value>(values: readonly Value[]): Value | null {
  const [first, ...others] = values;
  return first !== undefined && others.every((value) => value === first) ? first : null;
}

/** What a layer takes in all of some parts. */
export function quantitiesOfShared({ passes }: SharedLayer): Quantities {
  return quantitiesTogether(passes.map(({ quantities }) => quantities));
}

/** How long a layer takes in all of some parts, as the order of work counts it. */
export function timeOfShared(
  plan: Pick<Plan, 'order' | 'work'>,
  parts: readonly PlannedPart[],
  { role, nth }: SharedLayer,
): WorkTime {
  const times = parts.map(({ part, passes }) => timeOfLayer(plan, part.id, layerIndex(passes, role, nth)));
  return {
    stitchSeconds: times.reduce((sum, { stitchSeconds }) => sum + stitchSeconds, 0),
    aroundSeconds: times.reduce((sum, { aroundSeconds }) => sum + aroundSeconds, 0),
  };
}
