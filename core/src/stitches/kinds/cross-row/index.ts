import { describeStitch } from '../../kind.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';

export const crossRow = describeStitch({
  ...FLAT_LINE,
  id: 'cross-row',
  name: 'Row of cross stitches',
  inSentence: 'row of cross stitches',
  otherNames: ['cross stitch', 'crossed row'],
  purpose: 'Borders, kisses and markings: even crosses in a row, all crossed the same way.',
  params,
  coverWidths: 4,
  start: 'A waste knot beside the row.',
  end: 'Weave the tail back under the upright stitches on the back.',
  faults: [
    {
      fault: 'Some crosses slant the other way',
      cure: 'Work all the lower halves on the way out, and all the upper ones on the way back.',
    },
  ],
  steps: [
    'On the way out, work one slanting stitch in each place, from lower left to upper right.',
    'At the end, turn: the way back uses the same holes.',
    'On the way back, cross each one from lower right to upper left.',
  ],
});
