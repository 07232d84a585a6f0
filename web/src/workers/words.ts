import { formatNumber } from '@junctura/core/measure';

export const tooManyMegapixels = (megapixels: number): string =>
  `the picture has ${formatNumber(megapixels)} megapixels; up to 40 can be read. Make it smaller.`;
