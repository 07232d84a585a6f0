/** Why one step comes before another; the strongest first. */
export const RULE_IDS = [
  'own',
  'layers',
  'ground',
  'fur',
  'in-turn',
  'raised-last',
  'features',
  'behind',
  'outline',
] as const;
export type RuleId = (typeof RULE_IDS)[number];
