import { ruleReason, type Because } from './because.ts';
import type { Rule } from './rules.ts';
import type { Step } from './steps.ts';

/** What keeps a part from being the very first, or the very last: the parts that must come before it, or after it. */
export interface InTheWay {
  readonly parts: readonly string[];
  /** Why the nearest of them stand in the way, said of the part. */
  readonly reasons: readonly string[];
}

/**
 * What stands between a part and the end of the order at which the person wants it.
 * @param end the end at which it is wanted
 * @param wanted all parts that are wanted there: they stand in no other's way
 * @returns null where nothing does
 */
export function inTheWay(
  rules: readonly Rule[],
  order: readonly Step[],
  part: string,
  end: 'first' | 'last',
  wanted: readonly string[],
  nameOf: (part: string) => string,
): InTheWay | null {
  const isAt = (step: number): boolean => wanted.includes(order[step]!.part);
  const towards = (rule: Rule): [near: number, far: number] =>
    end === 'first' ? [rule.after, rule.before] : [rule.before, rule.after];
  const reached = new Set(order.flatMap((step, i) => (step.part === part ? [i] : [])));
  const direct = rules.filter((rule) => {
    const [near, far] = towards(rule);
    return reached.has(near) && !isAt(far) && order[far]!.part !== part;
  });
  for (const step of reached) {
    for (const rule of rules) {
      const [near, far] = towards(rule);
      if (near === step) reached.add(far);
    }
  }
  const parts = new Set([...reached].filter((step) => !isAt(step)).map((step) => order[step]!.part));
  parts.delete(part);
  if (parts.size === 0) return null;
  const reasons = new Set(direct.map((rule) => ruleReason(rule, order, towards(rule)[0], nameOf).text));
  return { parts: [...parts], reasons: [...reasons] };
}

/** What the person fixed of a part and could not be kept, because it was fixed in a circle: the reasons as they would be said. */
export function notKept(
  gaveWay: readonly Rule[],
  order: readonly Step[],
  part: string,
  nameOf: (part: string) => string,
): readonly Because[] {
  const told = new Map<string, Because>();
  for (const rule of gaveWay) {
    if (rule.id !== 'own') continue;
    const own = [rule.before, rule.after].find((step) => order[step]!.part === part);
    if (own === undefined) continue;
    const reason = ruleReason(rule, order, own, nameOf);
    told.set(reason.text, reason);
  }
  return [...told.values()];
}
