import { formatNumber } from './numbers.ts';

/** The words are English, so its rules hold whatever the reader's region. */
const RULES = new Intl.PluralRules('en');

/** One message for each number form of English. */
export interface Forms {
  readonly one: string;
  readonly other: string;
}

/** The sentence that is right for a count: `byCount(1, { one: '1 part is hidden.', other: '… parts are hidden.' })`. */
export function byCount(count: number, forms: Forms): string {
  return RULES.select(count) === 'one' ? forms.one : forms.other;
}

/** A count with its noun in the right form: `1 part`, `3 parts`, `1,204 stitches`. */
export function plural(count: number, one: string, other = `${one}s`): string {
  return `${formatNumber(count, 2)} ${byCount(count, { one, other })}`;
}
