import type { PageItem } from '../sheets.ts';
import type { ThreadSample } from './blocks.ts';

/** The dashes by which samples are told from one another on black-and-white paper, mm; the first has none. */
const DASHES_MM = [null, 0.4, 1, 1.8, 2.8] as const;

/** A bar of thread with its letter's own dashes along its middle. */
export function sampleItems({ hex, index }: ThreadSample, x: number, y: number, lengthMm: number): PageItem[] {
  const points = Float64Array.of(x + 1.3, y, x + lengthMm - 1.3, y);
  const dashMm = DASHES_MM[index % DASHES_MM.length]!;
  return [
    { type: 'line', points, closed: false, widthMm: 2.9, grey: 0.25, dashMm: null },
    { type: 'line', points, closed: false, widthMm: 2.5, grey: 0, hex, dashMm: null },
    ...(dashMm === null
      ? []
      : [
          { type: 'line', points, closed: false, widthMm: 0.9, grey: 1, dashMm: null } as const,
          { type: 'line', points, closed: false, widthMm: 0.5, grey: 0, dashMm } as const,
        ]),
  ];
}
