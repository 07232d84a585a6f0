import { describeStitch } from '../../kind.ts';
import { CATCHES_LOOP_SECONDS, FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';
import { KNOT_BESIDE_LINE, THREAD_TWISTS, UP_AT_START } from '../../shared/texts.ts';

export const cableChain = describeStitch({
  ...FLAT_LINE,
  findSeconds: CATCHES_LOOP_SECONDS,
  id: 'cable-chain',
  name: 'Cable chain stitch',
  inSentence: 'cable chain stitch',
  otherNames: ['chain with bars', 'linked chain'],
  purpose: 'Textured stems: links joined by short bars, like a fine chain.',
  params,
  snags: true,
  coverWidths: 2.2,
  start: KNOT_BESIDE_LINE,
  end: 'Tie the last link down, then weave the tail in.',
  faults: [
    THREAD_TWISTS,
    {
      fault: 'The bar pulls into the link',
      cure: 'Pull the wrap snug round the needle before the needle goes through.',
      lesson: 'knots',
    },
  ],
  steps: [
    UP_AT_START,
    'Wind the thread once round the needle.',
    'Go down a little ahead and come up one link further on, the thread under the point.',
    'Pull through: a bar and a link. Wind again for the next.',
  ],
});
