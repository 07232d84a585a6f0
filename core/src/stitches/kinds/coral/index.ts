import { KNOT_BESIDE_LINE, TAIL_BACK_UNDER_STITCHES } from '../../shared/texts.ts';
import { describeStitch } from '../../kind.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';

export const coral = describeStitch({
  ...FLAT_LINE,
  id: 'coral',
  name: 'Coral stitch',
  inSentence: 'coral stitch',
  otherNames: ['knotted line', 'beaded stitch'],
  purpose: 'Knotted stems and borders; the spacing of the knots changes the look.',
  params,
  isRaised: true,
  snags: true,
  coverWidths: 1.4,
  start: KNOT_BESIDE_LINE,
  end: TAIL_BACK_UNDER_STITCHES,
  faults: [
    { fault: 'Uneven knots', cure: 'Pick up the same small amount of cloth each time.' },
    { fault: 'Knots stray from the line', cure: 'Hold the thread along the line with your thumb.' },
  ],
  steps: [
    'Lay the thread along the line.',
    'Pick up a little cloth across the line, under the laid thread.',
    'Pull the needle through the loop: a knot sits on the line.',
    'Carry on to where the next knot goes.',
  ],
});
