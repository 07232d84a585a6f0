import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { byCount, formatChoice, formatList, formatNumber, formatPercent, plural } from './index.ts';
import { englishLocale } from './locale.ts';

describe('the locale of figures', () => {
  it.each([
    ['de-DE', 'en-DE', '1.204,5', '3 Dec 2026'],
    ['hi-IN', 'en-IN', '1,204.5', '3 Dec 2026'],
    ['de', 'en-DE', '1.204,5', '3 Dec 2026'],
    ['en-US', 'en-US', '1,204.5', 'Dec 3, 2026'],
    ['en-GB', 'en-GB', '1,204.5', '3 Dec 2026'],
  ])('of a reader in %s has English words and the figures of the region', (reader, locale, number, day) => {
    expect(englishLocale(reader)).toBe(locale);
    expect(new Intl.NumberFormat(locale).format(1204.5)).toBe(number);
    const ofDay = new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeZone: 'UTC' });
    expect(ofDay.format(Date.UTC(2026, 11, 3))).toBe(day);
    expect(new Intl.ListFormat(locale, { type: 'conjunction' }).format(['red', 'blue'])).toBe('red and blue');
  });
});

describe('figures in words', () => {
  it('are rounded to the given decimal places, and zero has no sign', () => {
    const value = fc.double({ min: -1e6, max: 1e6, noNaN: true });
    fc.assert(
      fc.property(value, fc.constantFrom(0, 1, 2, 3), (number, decimals) => {
        const told = formatNumber(number, decimals);
        expect(Math.abs(Number(told.replaceAll(',', '')) - number)).toBeLessThanOrEqual(0.5001 * 10 ** -decimals);
        expect(told).not.toMatch(/^-0(\.0*)?$/);
      }),
      { seed: 32 },
    );
    expect(formatPercent(-0.001)).toBe('0%');
    expect(formatPercent(0.236)).toBe('24%');
    expect(formatPercent(0.0307, 1)).toBe('3.1%');
  });

  it('take one form for one thing, and the other for none, parts of one and more', () => {
    const parts = (count: number): string => byCount(count, { one: 'One part is hidden.', other: 'Parts are hidden.' });
    expect([0, 0.5, 1, 2, 11, 21, 101].map(parts)).toEqual([
      'Parts are hidden.',
      'Parts are hidden.',
      'One part is hidden.',
      ...Array<string>(4).fill('Parts are hidden.'),
    ]);
    expect(plural(1, 'stitch', 'stitches')).toBe('1 stitch');
    expect(plural(1204, 'stitch', 'stitches')).toBe('1,204 stitches');
  });

  it('are joined as in a sentence', () => {
    expect(formatList(['red'])).toBe('red');
    expect(formatList(['red', 'blue'])).toBe('red and blue');
    expect(formatChoice(['1', '2', '3'])).toMatch(/^1, 2,? or 3$/);
  });
});
