import { describe, expect, it } from 'vitest';
import { formatDuration, formatDurationRange, formatLength, formatThread, formatTyped, parseLength } from './index.ts';

describe('lengths as people write them', () => {
  it.each([
    ['120', 'metric', 120],
    ['12 cm', 'metric', 120],
    ['12,5cm', 'metric', 125],
    ['4 1/2 in', 'metric', 114.3],
    ['4.5"', 'metric', 114.3],
    ['3/8', 'inch', 9.525],
    ['6', 'inch', 152.4],
    ['-2 mm', 'inch', -2],
    ['', 'metric', null],
    ['big', 'metric', null],
    ['5 feet', 'metric', null],
    ['1/0', 'inch', null],
  ] as const)('%s (%s)', (text, system, mm) => {
    if (mm === null) expect(parseLength(text, system)).toBeNull();
    else expect(parseLength(text, system)).toBeCloseTo(mm, 6);
  });

  it('read back what they show, within half a division of the ruler', () => {
    for (let mm = 0.3; mm < 600; mm *= 1.07) {
      expect(Math.abs(parseLength(formatLength(mm, 'metric'), 'metric')! - mm)).toBeLessThanOrEqual(0.5001);
      expect(Math.abs(parseLength(formatLength(mm, 'inch'), 'inch')! - mm)).toBeLessThanOrEqual(25.4 / 32 + 1e-9);
    }
  });
});

it.each([
  [0.01, '36 s'],
  [0.3, '20 min'],
  [1.66, '1 h 40 min'],
  [12.2, '12 h'],
])('%f hours are %s', (hours, text) => expect(formatDuration(hours)).toBe(text));

it('gives ranges in one unit where it can', () => {
  expect(formatDurationRange(0.5, 0.9)).toBe('30–54 min');
  expect(formatDurationRange(5.2, 7.9)).toBe('5–8 h');
  expect(formatThread(430, 'metric')).toBe('43 cm');
  expect(formatThread(4300, 'metric')).toBe('4.3 m');
});

describe('a number in a field', () => {
  it('has no groups that would be typed over, and one decimal place at most', () => {
    expect([formatTyped(1234.56), formatTyped(-0.04), formatTyped(50)]).toEqual(['1234.6', '0', '50']);
  });
});
