import { lookUp } from '../measure/index.ts';
import type { Cloth } from './cloths.ts';

/** What lies behind the cloth while it is stitched, so that stitches don't draw it in. */
export interface Stabiliser {
  readonly id: StabiliserId;
  readonly name: string;
  /** Its name within a sentence. */
  readonly inSentence: string;
  /** What becomes of it after the last stitch. */
  readonly leavesBy: 'nothing' | 'tearing' | 'water' | 'trimming';
  /** Whether it is fused by an iron, not tacked. */
  readonly isFused: boolean;
}

/** General craft knowledge; the maker's instructions come first. */
const KINDS = [
  { id: 'none', name: 'Nothing', inSentence: 'nothing', leavesBy: 'nothing', isFused: false },
  {
    id: 'tear-away',
    name: 'Tear-away backing',
    inSentence: 'tear-away backing',
    leavesBy: 'tearing',
    isFused: false,
  },
  { id: 'wash-away', name: 'Wash-away film', inSentence: 'wash-away film', leavesBy: 'water', isFused: false },
  {
    id: 'woven',
    name: 'Woven backing, tacked in',
    inSentence: 'a woven backing',
    leavesBy: 'trimming',
    isFused: false,
  },
  {
    id: 'fusible',
    name: 'Soft fusible backing',
    inSentence: 'a soft fusible backing',
    leavesBy: 'trimming',
    isFused: true,
  },
] as const satisfies readonly (Omit<Stabiliser, 'id'> & { readonly id: string })[];

export const STABILISERS: readonly Stabiliser[] = KINDS;
export type StabiliserId = (typeof KINDS)[number]['id'];
export const STABILISER_IDS = KINDS.map(({ id }) => id);
/** The stabiliser of an id. */
export const stabiliserOf = lookUp(STABILISERS);

/** What a needle goes through besides the cloth, whichever kind it is, mm. A craft figure: films are 0.1, woven backings 0.2. */
export const STABILISER_MM = 0.15;

/** Soft backing for knits melts under a warm iron; what else is fused needs a hot one. */
export function bearsSoftFusing({ iron, weave }: Cloth): boolean {
  return iron === 'hot' || (iron === 'warm' && weave === 'knit');
}
