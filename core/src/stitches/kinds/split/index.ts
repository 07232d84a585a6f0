import { describeStitch } from '../../kind.ts';
import { CORNERS_CUT, KNOT_AHEAD, THREAD_TWISTS } from '../../shared/texts.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';

export const split = describeStitch({
  ...FLAT_LINE,
  id: 'split',
  name: 'Split stitch',
  inSentence: 'split stitch',
  otherNames: ['opus anglicanum line', 'Kensington outline'],
  purpose: 'Tight curves, thin branches, and the firm edge under satin.',
  params,
  start: KNOT_AHEAD,
  end: 'Weave back under the short stitches on the back.',
  faults: [
    CORNERS_CUT,
    THREAD_TWISTS,
    {
      fault: 'The needle slides off the thread',
      cure: 'Two strands or more are easier to split; use a sharp needle.',
      lesson: 'strands',
    },
  ],
  steps: [
    'Come up at the start of the line and go down one stitch ahead.',
    'Come up through the middle of the thread, a third of the stitch from its end.',
    'Go down one stitch ahead of there.',
    'Each stitch splits the last.',
  ],
});
