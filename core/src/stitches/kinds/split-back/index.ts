import { describeStitch } from '../../kind.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';
import { CORNERS_CUT, KNOT_AHEAD_HELD, TAIL_WHIPPED, UP_AHEAD_OF_LAST } from '../../shared/texts.ts';

export const splitBack = describeStitch({
  ...FLAT_LINE,
  id: 'split-back',
  name: 'Split back stitch',
  inSentence: 'split back stitch',
  otherNames: ['backward split stitch', 'pierced back stitch'],
  purpose: 'Smooth, dark outlines without a gap or a step.',
  params,

  start: KNOT_AHEAD_HELD,
  end: TAIL_WHIPPED,
  faults: [CORNERS_CUT, { fault: 'Strands part unevenly', cure: 'Use an even number of strands and a sharp needle.' }],
  steps: [
    'Come up one stitch ahead of the start of the line and go down at the start.',
    UP_AHEAD_OF_LAST,
    'Go back down into the end of the last stitch, between its strands.',
  ],
});
