import { formatNumber } from '../measure/index.ts';

export const timesLaidWidth = (widths: number): string => `About ${formatNumber(widths, 1)} times the thread’s width.`;
