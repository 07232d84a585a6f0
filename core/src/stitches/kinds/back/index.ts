import { describeStitch } from '../../kind.ts';
import { CORNERS_CUT, KNOT_AHEAD_HELD, PULLED_IN, TAIL_WHIPPED, UP_AHEAD_OF_LAST } from '../../shared/texts.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';

export const back = describeStitch({
  ...FLAT_LINE,
  id: 'back',
  name: 'Back stitch',
  inSentence: 'back stitch',
  otherNames: ['point de sable', 'stitched line'],
  purpose: 'Firm, unbroken outlines and letters.',
  params,
  start: KNOT_AHEAD_HELD,
  end: TAIL_WHIPPED,
  faults: [
    CORNERS_CUT,
    PULLED_IN,
    { fault: 'Gaps between stitches', cure: 'Go down into the same hole in which the last stitch ended.' },
  ],
  steps: [
    'Come up one stitch ahead of the start of the line.',
    'Go down at the start.',
    UP_AHEAD_OF_LAST,
    'Go back down into the end of the last stitch.',
  ],
});
