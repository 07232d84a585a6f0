import type { Seeing } from '@junctura/core/colour';

/** Ways of seeing, as they are called. */
export const SEEING_WORDS: Readonly<Record<Seeing | 'armsLength', string>> = {
  daylight: 'By day',
  lamp: 'By lamp-light',
  grey: 'Without colour',
  protan: 'Red not seen (protan)',
  deutan: 'Green not seen (deutan)',
  tritan: 'Blue not seen (tritan)',
  armsLength: 'At arm’s length',
};
