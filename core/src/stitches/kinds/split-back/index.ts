import { describeStitch } from '../../kind.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';
import { CORNERS_CUT } from '../../shared/texts.ts';

export const splitBack = describeStitch({
  ...FLAT_LINE,
  id: 'split-back',
  name: 'Split back stitch',
  inSentence: 'split back stitch',
  otherNames: ['backward split stitch', 'pierced back stitch'],
  purpose: 'Smooth, dark outlines without a gap or a step.',
  params,

  start: 'A waste knot ahead on the line: the first stitches hold its thread.',
  end: 'Whip the tail round the long stitches on the back.',
  faults: [CORNERS_CUT, { fault: 'Strands part unevenly', cure: 'Use an even number of strands and a sharp needle.' }],
  steps: [
    'Come up one stitch ahead of the start of the line and go down at the start.',
    'Come up one stitch ahead of the last.',
    'Go back down into the end of the last stitch, between its strands.',
  ],
});
