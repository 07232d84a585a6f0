import type { Rule, RuleId } from './rules.ts';
import type { Step } from './steps.ts';

const ROLE_NAMES: Readonly<Record<Step['role'], string>> = {
  padding: 'padding',
  edge: 'firm edge',
  filling: 'filling',
  outline: 'outline',
  vein: 'vein',
  accent: 'accents',
};

/**
 * Why a step stands after or before another, said of that step.
 * @param isAfter whether it stands after the other
 */
export function ruleWords(id: RuleId, own: Step, other: Step, otherName: string, isAfter: boolean): string {
  const name = own.part === other.part ? `its ${ROLE_NAMES[other.role]}` : `“${otherName}”`;
  const where = isAfter ? 'After' : 'Before';
  const isShade = own.part === other.part && own.layer === other.layer && id === 'layers';
  if (isShade) return `${where} its ${isAfter ? 'last' : 'next'} shade: each row reaches into the one before.`;
  if (id === 'own') return `${where} ${name}, as you fixed it.`;
  if (id === 'layers') return `${where} ${name}, which lies ${isAfter ? 'below' : 'on'} it.`;
  if (id === 'ground') return `${where} ${name}, which ${isAfter ? 'it lies on' : 'lies on it'}.`;
  if (id === 'fur') {
    return isAfter
      ? 'After the patch behind it: hair lies like tiles, and this goes over the ends of that.'
      : 'Before the patch in front of it, which goes over its ends: hair lies like tiles.';
  }
  if (id === 'features') {
    return isAfter
      ? `After ${name}: features come first, and the hair goes over their rims.`
      : `Before ${name}: features come first, and the hair goes over their rims.`;
  }
  if (id === 'behind') return `${where} ${name}, which lies ${isAfter ? 'behind' : 'in front of'} it.`;
  if (id === 'outline') {
    const line = [own, other].find(({ role }) => role === 'outline');
    const first = line === undefined || line === own ? !isAfter : isAfter;
    return `${where} ${name}: ${line === undefined ? 'that is how you work outlines' : first ? 'outlines first' : 'outlines last'}.`;
  }
  return isAfter
    ? `After ${name}: the ring would lie on it then, and it stands up.`
    : `Before ${name}, which stands up: the ring would crush it.`;
}

/** Why a step stands where it does. */
export interface Because {
  readonly id: RuleId;
  readonly text: string;
}

/** More pairs of one rule are told as a number. */
const MOST_TOLD = 3;

/** All that puts a step after others and before others. */
export function becauseOf(
  rules: readonly Rule[],
  order: readonly Step[],
  step: number,
  nameOf: (part: string) => string,
): Because[] {
  const own = order[step]!;
  const told = new Map<string, Because>();
  const counts = new Map<string, number>();
  for (const { id, before, after } of rules) {
    if (before !== step && after !== step) continue;
    const isAfter = after === step;
    const other = order[isAfter ? before : after]!;
    const kind = `${id} ${isAfter}`;
    const text = ruleWords(id, own, other, nameOf(other.part), isAfter);
    if (told.has(text)) continue;
    const count = (counts.get(kind) ?? 0) + 1;
    counts.set(kind, count);
    if (count <= MOST_TOLD) told.set(text, { id, text });
  }
  for (const [kind, count] of counts) {
    if (count <= MOST_TOLD) continue;
    const [id, isAfter] = kind.split(' ') as [RuleId, string];
    const text = `${isAfter === 'true' ? 'After' : 'Before'} ${count - MOST_TOLD} more, by the same rule.`;
    told.set(kind, { id, text });
  }
  return [...told.values()];
}
