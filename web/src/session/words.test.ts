import { expect, it } from 'vitest';
import { partsInWords } from './words.ts';

it.each([
  [['Petal 1', 'Petal 2', 'Petal 3'], '3 × Petal'],
  [['Star arm 1', 'Star arm 2'], '2 × Star arm'],
  [['Petal 1', 'Leaf 2'], '2 parts'],
  [['Tail'], 'Tail'],
  [['1', '2'], '2 parts'],
])('%j are “%s”', (names, words) => {
  expect(partsInWords(names)).toBe(words);
});
