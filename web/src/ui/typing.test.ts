import { expect, it } from 'vitest';
import { numberTyped } from './typing.ts';

it.each([
  ['117', 'mm', 117],
  [' 117 mm ', 'mm', 117],
  ['1,5mm', 'mm', 1.5],
  ['60°', '°', 60],
  ['-3', '', -3],
  ['', 'mm', NaN],
  ['mm', 'mm', NaN],
  ['12 cm', 'mm', NaN],
])('“%s” in a field of %s is %d', (text, unit, number) => {
  expect(numberTyped(text, unit)).toBe(number);
});
