import { deltaE, type Lab } from './colours.ts';

export interface Match<T> {
  readonly item: T;
  readonly difference: number;
}

/** The items nearest to a colour, nearest first. */
export function nearestColours<T extends { readonly lab: Lab }>(
  wanted: Lab,
  items: readonly T[],
  count: number,
): Match<T>[] {
  return items
    .map((item) => ({ item, difference: deltaE(wanted, item.lab) }))
    .sort((a, b) => a.difference - b.difference)
    .slice(0, count);
}
