import { describeStitch } from '../../kind.ts';
import { CORNERS_CUT, KNOT_AHEAD, THREAD_TWISTS } from '../../shared/texts.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';

export const stem = describeStitch({
  ...FLAT_LINE,
  id: 'stem',
  name: 'Stem stitch',
  inSentence: 'stem stitch',
  otherNames: ['crewel stitch', 'stalk stitch'],
  purpose: 'Curved lines that look like a twisted cord: stalks, strings, waves.',
  params,
  coverWidths: 1.3,
  start: KNOT_AHEAD,
  end: 'Weave back under the stitches on the back.',
  faults: [
    CORNERS_CUT,
    THREAD_TWISTS,
    { fault: 'The cord changes its look halfway', cure: 'Hold the thread on the same side of the needle all along.' },
  ],
  steps: [
    'Come up at the start and go down one stitch ahead; hold the loop to one side.',
    'Come up halfway back, beside the thread.',
    'Pull through, then go down half a stitch beyond the last.',
    'Always keep the thread on the same side.',
  ],
});
