import type { RuleId } from './ruleIds.ts';
import type { Rule } from './rules.ts';
import { stitchOfStep, type Step } from './steps.ts';
import * as say from './words.ts';

/** Why a step stands where it does. */
export interface Because {
  readonly id: RuleId;
  readonly text: string;
}

/** More pairs of one rule are told as a number. */
const MOST_TOLD = 3;

/** What one rule says of one of its two steps. */
export function ruleReason(
  { id, before, after }: Rule,
  order: readonly Step[],
  step: number,
  nameOf: (part: string) => string,
): Because {
  const isAfter = after === step;
  const other = order[isAfter ? before : after]!;
  const called = { part: nameOf(other.part), stitch: stitchOfStep(other).inSentence };
  return { id, text: say.ruleWords(id, order[step]!, other, called, isAfter) };
}

/** All that puts a step after others and before others. */
export function becauseOf(
  rules: readonly Rule[],
  order: readonly Step[],
  step: number,
  nameOf: (part: string) => string,
): Because[] {
  const told = new Map<string, Because>();
  const counts = new Map<string, number>();
  for (const { id, before, after } of rules) {
    if (before !== step && after !== step) continue;
    const kind = `${id} ${after === step}`;
    const { text } = ruleReason({ id, before, after }, order, step, nameOf);
    if (told.has(text)) continue;
    const count = (counts.get(kind) ?? 0) + 1;
    counts.set(kind, count);
    if (count <= MOST_TOLD) told.set(text, { id, text });
  }
  for (const [kind, count] of counts) {
    if (count <= MOST_TOLD) continue;
    const [id, isAfter] = kind.split(' ') as [RuleId, string];
    const text = say.moreByRule(isAfter === 'true', count - MOST_TOLD);
    told.set(kind, { id, text });
  }
  return [...told.values()];
}
