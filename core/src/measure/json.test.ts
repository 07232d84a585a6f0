import fc from 'fast-check';
import { expect, it } from 'vitest';
import { parseJson } from './index.ts';

it('reads what JSON.parse reads, brackets in text included', () => {
  fc.assert(
    fc.property(fc.json({ maxDepth: 8 }), (text) => {
      expect(parseJson(text)).toEqual(JSON.parse(text));
    }),
    { seed: 3, numRuns: 300 },
  );
  expect(parseJson(JSON.stringify(['[['.repeat(500), '\\"{'.repeat(500)]))).toHaveLength(2);
});

it.each(['['.repeat(24_000_000), '{"a":'.repeat(200), `${'['.repeat(101)}${']'.repeat(101)}`])(
  'refuses what is nested deeper than anything is (%.8s…)',
  (text) => {
    expect(() => parseJson(text)).toThrow(SyntaxError);
  },
);

it('reads what is nested a hundred deep', () => {
  expect(parseJson(`${'['.repeat(100)}${']'.repeat(100)}`)).toBeInstanceOf(Array);
});
