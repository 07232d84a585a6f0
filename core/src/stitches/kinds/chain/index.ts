import { describeStitch } from '../../kind.ts';
import { KNOT_BESIDE_LINE, LOOP_STILL_ROUND, PULLED_IN, THREAD_TWISTS } from '../../shared/texts.ts';
import { CATCHES_LOOP_SECONDS, FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';

export const chain = describeStitch({
  ...FLAT_LINE,
  findSeconds: CATCHES_LOOP_SECONDS,
  id: 'chain',
  name: 'Chain stitch',
  inSentence: 'chain stitch',
  otherNames: ['tambour line', 'point de chaînette'],
  purpose: 'Lines with body that follow any curve.',
  params,
  snags: true,
  coverWidths: 2.4,
  start: KNOT_BESIDE_LINE,
  end: 'Tie the last loop down with a small stitch over it, then weave the tail in.',
  faults: [PULLED_IN, THREAD_TWISTS, { fault: 'Loops too tight', cure: LOOP_STILL_ROUND }],
  steps: [
    'Come up at the start of the line and hold the thread in a loop.',
    'Go down where you came up.',
    'Come up one stitch ahead, inside the loop, and pull the loop close round the thread.',
    'Start the next loop there; tie the last one down.',
  ],
});
