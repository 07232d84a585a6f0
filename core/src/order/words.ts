import type { PlaceWithin } from '../geometry/index.ts';
import { formatNumber } from '../measure/index.ts';
import type { PassRole } from '../piece/index.ts';
import type { RuleId } from './ruleIds.ts';

/** A zone of a painted part by its number, and by where it lies in the part. */
export const partAndZone = (partName: string, zone: number, place: PlaceWithin | null): string =>
  place === null ? `${partName}, zone ${zone}` : `${partName}, zone ${zone} (${place})`;

export const layTheScrap = (part: string): string => `Lay the scrap “${part}”`;

const LAYER_NAMES: Readonly<Record<PassRole, string>> = {
  padding: 'padding',
  edge: 'firm edge',
  filling: 'filling',
  beside: 'second line',
  outline: 'outline',
  vein: 'vein',
  accent: 'highlights',
};

/** A step, as far as its rules speak of it. */
interface RuledStep {
  readonly part: string;
  readonly layer: number;
  readonly role: PassRole;
  readonly journey: 0 | 1 | null;
}

/** What another step is called. */
interface OtherStep {
  readonly part: string;
  readonly stitch: string;
}

/**
 * Why a step stands after or before another, said of that step.
 * @param called what the other is called: its part, and its stitch within a sentence
 * @param isAfter whether it stands after the other
 */
export function ruleWords(id: RuleId, own: RuledStep, other: RuledStep, called: OtherStep, isAfter: boolean): string {
  const isOwnPart = own.part === other.part;
  if (isOwnPart && own.layer === other.layer && own.journey !== null) {
    return isAfter ? `After ${called.stitch}, which it is worked on.` : `Before ${called.stitch}, worked on top of it.`;
  }
  if (isOwnPart && own.layer === other.layer && id === 'layers') {
    return isAfter
      ? 'After its last shade: each row reaches into the one before.'
      : 'Before its next shade: each row reaches into the one before.';
  }
  const name = isOwnPart ? `its ${LAYER_NAMES[other.role]}` : `“${called.part}”`;
  if (id === 'outline') {
    const line = [own, other].find(({ role }) => role === 'outline');
    const [after, before] =
      OUTLINE_WORDS[line === undefined ? 'chosen' : (line === own) === isAfter ? 'last' : 'first'];
    return (isAfter ? after : before)(name);
  }
  const [after, before] = RULE_WORDS[id];
  return (isAfter ? after : before)(name);
}

/** What is said of a step that comes after another, and of one that comes before it. */
type AfterAndBefore = readonly [after: (other: string) => string, before: (other: string) => string];

const RULE_WORDS: Readonly<Record<Exclude<RuleId, 'outline'>, AfterAndBefore>> = {
  own: [(other) => `After ${other}, as you fixed it.`, (other) => `Before ${other}, as you fixed it.`],
  layers: [(other) => `After ${other}, which lies below it.`, (other) => `Before ${other}, which lies on it.`],
  ground: [(other) => `After ${other}, which it lies on.`, (other) => `Before ${other}, which lies on it.`],
  fur: [
    () => 'After the zone behind it: hair overlaps like roof tiles, and this zone covers the ends of that one.',
    () => 'Before the zone in front of it, which covers its ends: hair overlaps like roof tiles.',
  ],
  'in-turn': [
    () => 'After the zone before it: the needles of its shades take turns, zone by zone.',
    () => 'Before the next zone: the needles of its shades take turns, zone by zone.',
  ],
  features: [
    (other) => `After ${other}: features come first, and the hair goes over their rims.`,
    (other) => `Before ${other}: features come first, and the hair goes over their rims.`,
  ],
  behind: [
    (other) => `After ${other}, which lies behind it.`,
    (other) => `Before ${other}, which lies in front of it.`,
  ],
  'raised-last': [
    (other) => `After ${other}: this is raised, and the hoop would press on it.`,
    (other) => `Before ${other}, which is raised: the hoop would crush it.`,
  ],
};

const OUTLINE_WORDS: Readonly<Record<'first' | 'last' | 'chosen', AfterAndBefore>> = {
  first: [(other) => `After ${other}: outlines first.`, (other) => `Before ${other}: outlines first.`],
  last: [(other) => `After ${other}: outlines last.`, (other) => `Before ${other}: outlines last.`],
  chosen: [
    (other) => `After ${other}: you chose this order for outlines.`,
    (other) => `Before ${other}: you chose this order for outlines.`,
  ],
};

export const moreByRule = (isAfter: boolean, count: number): string =>
  isAfter
    ? `After ${formatNumber(count)} more, by the same rule.`
    : `Before ${formatNumber(count)} more, by the same rule.`;

export const likeParts = (name: string, count: number): string => `${name}, ${formatNumber(count)} alike`;

/** A layer and which of its shades, in a few words. @param shade 0: its first row */
export function layerAndShade(role: PassRole | null, shade: readonly [number: number, count: number] | null): string {
  const layer = role === null ? '' : LAYER_NAMES[role];
  if (shade === null) return layer;
  const [number, count] = shade;
  const which = number < 1 ? 'first row' : `shade ${formatNumber(number)} of ${formatNumber(count)}`;
  return layer === '' ? which : `${layer}, ${which}`;
}

export const partAndLayer = (name: string, layer: string): string => `${name}: ${layer}`;
