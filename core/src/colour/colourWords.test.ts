import { expect, it } from 'vitest';
import { colourWords } from './index.ts';

it.each([
  ['#b8272f', 'red'],
  ['#7d1f2b', 'red'],
  ['#ecc3c4', 'pink'],
  ['#dd7a2d', 'orange'],
  ['#6d4427', 'brown'],
  ['#b58a5c', 'brown'],
  ['#e9c53a', 'yellow'],
  ['#22523a', 'green'],
  ['#4f8a43', 'green'],
  ['#2b9a9b', 'turquoise'],
  ['#22335c', 'blue'],
  ['#7fb0d4', 'blue'],
  ['#6a3d77', 'purple'],
  ['#8b8f94', 'grey'],
  ['#1f2124', 'black'],
  ['#f7f5ef', 'white'],
])('%s is called %s', (hex, word) => {
  expect(colourWords(hex)[0]).toBe(word);
});
