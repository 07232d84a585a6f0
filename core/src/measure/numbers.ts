import { LOCALE } from './locale.ts';

const upTo = (decimals: number): Intl.NumberFormat =>
  new Intl.NumberFormat(LOCALE, { maximumFractionDigits: decimals });
const NUMBERS = [upTo(0), upTo(1), upTo(2), upTo(3)] as const;
const PERCENTS = [0, 1].map(
  (decimals) => new Intl.NumberFormat(LOCALE, { style: 'percent', maximumFractionDigits: decimals }),
);
const TYPED = new Intl.NumberFormat(LOCALE, { maximumFractionDigits: 1, useGrouping: false });
const MONEY = new Intl.NumberFormat(LOCALE, { minimumFractionDigits: 2, maximumFractionDigits: 2 });
const AND = new Intl.ListFormat(LOCALE, { type: 'conjunction' });
const OR = new Intl.ListFormat(LOCALE, { type: 'disjunction' });

/** A number as the reader writes it, with at most `decimals` decimal places: `1,204.5`. No zero is negative. */
export function formatNumber(value: number, decimals: 0 | 1 | 2 | 3 = 0): string {
  const scale = 10 ** decimals;
  return NUMBERS[decimals].format(Math.round(value * scale) / scale + 0);
}

/** A share of one as `24%`. No zero is negative. */
export function formatPercent(share: number, decimals: 0 | 1 = 0): string {
  const scale = 10 ** (decimals + 2);
  return PERCENTS[decimals]!.format(Math.round(share * scale) / scale + 0);
}

/** An amount of money with its currency, as the person calls it: `12.50 crowns`. */
export function formatMoney(value: number, currency: string): string {
  return `${MONEY.format(value)} ${currency}`;
}

/** Things one after the other: `red, blue and green`. */
export function formatList(things: Iterable<string>): string {
  return AND.format(things);
}

/** Things to choose from: `red, blue or green`. */
export function formatChoice(things: Iterable<string>): string {
  return OR.format(things);
}

/** A number as it stands in a field that is typed into: by the reader's decimal sign, in no groups. */
export function formatTyped(value: number): string {
  // No zero is negative.
  return TYPED.format(Math.round(value * 10) / 10 + 0);
}
