import { RULE_IDS } from './ruleIds.ts';
import type { Rule } from './rules.ts';

/** Rules that can all be kept, and those that gave way so that they can. */
export interface Precedence {
  readonly kept: readonly Rule[];
  readonly gaveWay: readonly Rule[];
}

/**
 * Rules without a circle in them: in every circle the weakest give way. Of rules alike in strength, those that come first in the list hold.
 * @param count the number of steps
 */
export function withoutCircles(rules: readonly Rule[], count: number): Precedence {
  const knots = knotsOf(rules, count);
  const isSuspect = ({ before, after }: Rule): boolean => knots[before] === knots[after];
  const suspects = rules.filter(isSuspect);
  if (suspects.length === 0) return { kept: rules, gaveWay: [] };
  const kept: Rule[] = [];
  const gaveWay: Rule[] = [];
  const next = new Map<number, number[]>();
  const byStrength = RULE_IDS.flatMap((id) => suspects.filter((rule) => rule.id === id));
  for (const rule of byStrength) {
    if (leadsTo(next, rule.after, rule.before)) gaveWay.push(rule);
    else {
      kept.push(rule);
      const targets = next.get(rule.before) ?? [];
      next.set(rule.before, targets);
      targets.push(rule.after);
    }
  }
  return { kept: [...rules.filter((rule) => !isSuspect(rule)), ...kept], gaveWay };
}

function leadsTo(next: ReadonlyMap<number, readonly number[]>, from: number, to: number): boolean {
  const seen = new Set([from]);
  const open = [from];
  for (let at = open.pop(); at !== undefined; at = open.pop()) {
    if (at === to) return true;
    for (const target of next.get(at) ?? []) {
      if (!seen.has(target)) open.push(target);
      seen.add(target);
    }
  }
  return false;
}

/**
 * For each step the number of the knot that it belongs to: steps that come before each other share one.
 * Source: R. E. Tarjan, Depth-first search and linear graph algorithms (1972), without recursion.
 */
function knotsOf(rules: readonly Rule[], count: number): Int32Array {
  const next = Array.from({ length: count }, (): number[] => []);
  for (const { before, after } of rules) next[before]!.push(after);
  const found = new Int32Array(count).fill(-1);
  const low = new Int32Array(count);
  const knots = new Int32Array(count).fill(-1);
  const onWay = new Int32Array(count);
  const way: number[] = [];
  let [time, knot] = [0, 0];
  for (let root = 0; root < count; root++) {
    if (found[root]! >= 0) continue;
    const open = [root];
    while (open.length > 0) {
      const at = open.at(-1)!;
      if (found[at]! < 0) {
        found[at] = low[at] = time++;
        way.push(at);
      }
      const target = next[at]![onWay[at]!];
      if (target !== undefined) {
        if (found[target]! < 0) open.push(target);
        else {
          if (knots[target]! < 0) low[at] = Math.min(low[at]!, low[target]!);
          onWay[at]!++;
        }
        continue;
      }
      open.pop();
      if (low[at] !== found[at]) continue;
      let member: number;
      do {
        member = way.pop()!;
        knots[member] = knot;
      } while (member !== at);
      knot++;
    }
  }
  return knots;
}
