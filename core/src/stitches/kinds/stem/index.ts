import { describeStitch } from '../../kind.ts';
import { CORNERS_CUT, THREAD_TWISTS } from '../../shared/texts.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';

export const stem = describeStitch({
  ...FLAT_LINE,
  id: 'stem',
  name: 'Stem stitch',
  otherNames: ['crewel stitch', 'stalk stitch'],
  purpose: 'Curved lines with the look of a twisted cord: stalks, strings, waves.',
  params,
  coverWidths: 1.3,
  start: 'A waste knot ahead on the line.',
  end: 'Weave back under the stitches behind.',
  faults: [
    CORNERS_CUT,
    THREAD_TWISTS,
    { fault: 'The cord changes its look half-way', cure: 'Hold the thread on the same side of the needle all along.' },
  ],
  steps: [
    'Come up at the start and go down one stitch ahead; hold the loop to one side.',
    'Come up half-way back, beside the thread.',
    'Pull through, then go down half a stitch beyond the last.',
    'Always keep the thread on the same side.',
  ],
});
