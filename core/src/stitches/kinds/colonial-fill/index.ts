import { describeStitch } from '../../kind.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const colonialFill = describeStitch({
  ...FLAT_FILLING,
  id: 'colonial-fill',
  name: 'Colonial knot filling',
  inSentence: 'colonial knot filling',
  otherNames: ['candlewick ground', 'figure-of-eight filling'],
  purpose: 'Firm, even fleece and seed heads; quicker to work than French knots.',
  params,
  needle: 'wrapping',
  hasDirection: false,
  followsCurves: true,
  isRaised: true,
  snags: true,
  start: 'Make two tiny stitches at the edge.',
  end: 'Weave the tail in among the knots on the back.',
  faults: [{ fault: 'Cloth shows between knots', cure: 'A French knot of one wrap closes the gap.' }],
  steps: [
    'Work a row of knots close together along the edge.',
    'Work the next row inside it, each knot in a hollow of the last row.',
    'Carry on inwards; close the last gaps with smaller knots.',
  ],
});
