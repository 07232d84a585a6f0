import { describeStitch } from '../../kind.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';

export const coral = describeStitch({
  ...FLAT_LINE,
  id: 'coral',
  name: 'Coral stitch',
  otherNames: ['knotted line', 'beaded stitch'],
  purpose: 'Knotted stems and borders; the spacing of the knots changes the look.',
  params,
  isRaised: true,
  snags: true,
  coverWidths: 1.4,
  start: 'A waste knot beside the line.',
  end: 'Weave the tail back under the stitches behind.',
  faults: [
    { fault: 'Knots of uneven size', cure: 'Take up the same little cloth each time.' },
    { fault: 'Knots stray from the line', cure: 'Hold the thread along the line with the thumb.' },
  ],
  steps: [
    'Lay the thread along the line.',
    'Take up a little cloth across the line, over the laid thread.',
    'Draw the needle through the loop: a knot sits on the line.',
    'Go on to the place of the next knot.',
  ],
});
