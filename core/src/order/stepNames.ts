import type { PlannedPass } from '../work/index.ts';
import { stitchOfStep, type Step } from './steps.ts';
import * as say from './words.ts';
import { nameOfStep } from './workOrder.ts';

/** A name that all of several parts share but for their numbers; null: they have none. */
function sharedName(names: readonly string[]): string | null {
  const stems = new Set(names.map((name) => name.replace(/[,\s]*\d+(?: of \d+)?$/, '').trim()));
  const [stem] = stems;
  return stems.size === 1 && stem ? stem : null;
}

/**
 * What a step is called: its part, how many like it, its layer where the part has several, and its shade or journey where the layer has.
 * @param passes the layers of its first part
 */
export function nameOfLine(
  steps: readonly Step[],
  passes: readonly PlannedPass[],
  nameOf: (part: string) => string,
): string {
  const first = steps[0]!;
  const own = nameOfStep(nameOf(first.part), first);
  const parts = new Set(steps.map(({ part }) => part)).size;
  const name = parts > 1 ? say.likeParts(sharedName(steps.map(({ part }) => nameOf(part))) ?? own, parts) : own;
  const layer = layerOfStep(first, passes);
  return layer === '' ? name : say.partAndLayer(name, layer);
}

/** What laying a scrap is called, by the name of its part. */
export const nameOfLaying = (part: string): string => say.layTheScrap(part);

/** What of its part a step is, in a few words: its layer, its shade or its journey; empty: all of it. */
export function layerOfStep(step: Step, passes: readonly PlannedPass[]): string {
  const layer = passes.length > 1 || step.role !== 'filling' ? step.role : null;
  if (step.journey !== null) return stitchOfStep(step).inSentence;
  return say.layerAndShade(layer, shadeOf(step, passes[step.layer]));
}

/** Which of the shades of its layer a step works, counted from 1; 0: the first row in a thread of its own; null: the layer has one. */
function shadeOf({ shade }: Step, pass: PlannedPass | undefined): readonly [number: number, count: number] | null {
  if (!pass || pass.shades.length < 2) return null;
  const rows = pass.threads.length - pass.shades.length;
  return [shade + 1 - Math.max(0, rows), pass.shades.length];
}
