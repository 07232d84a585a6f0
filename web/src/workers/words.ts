import { formatNumber } from '@junctura/core/measure';

export const tooManyMegapixels = (megapixels: number): string =>
  `the picture has ${formatNumber(megapixels)} megapixels; up to 40 can be read. Make it smaller.`;

export const PICTURE_DAMAGED = 'the picture is damaged, or this browser can’t show it. Save it as PNG, JPEG or WebP.';
