import { roundTo } from '../measure/index.ts';

export type FindingId =
  | 'outside-hoop'
  | 'near-ring'
  | 'grain'
  | 'warp'
  | 'crushed'
  | 'line-too-close'
  | "can't-trace"
  | 'fades-first'
  | 'heat-sets'
  | 'water-spoils'
  | 'part-too-small'
  | 'line-not-covered'
  | 'span-too-long'
  | 'span-too-short'
  | 'cloth-shows'
  | 'direction-vanishes'
  | 'too-many-shades'
  | 'guide-outside'
  | 'too-large-for-direction'
  | 'too-many-strands'
  | 'snags'
  | 'needle-hole'
  | 'pull'
  | 'lost-in-cloth'
  | 'too-alike'
  | 'lots-mixed'
  | 'may-run'
  | 'confusable'
  | 'runs-out'
  | 'all-hidden'
  | 'no-stitches'
  | 'not-read';

export type Figures = Readonly<Record<string, number | string>>;

/** Something worth a look. The sentence is made of the figures elsewhere. */
export interface Finding {
  readonly id: FindingId;
  readonly part: string | null;
  readonly figures: Figures;
}

/** A figure as a finding tells it: to the hundredth, so that an accepted one stays accepted. */
export function hundredths(value: number): number {
  return roundTo(value, 2);
}
