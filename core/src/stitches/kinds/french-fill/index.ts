import { describeStitch } from '../../kind.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const frenchFill = describeStitch({
  ...FLAT_FILLING,
  id: 'french-fill',
  name: 'French knot filling',
  inSentence: 'French knot filling',
  otherNames: ['massed knots', 'knot ground'],
  purpose: 'Fleece, curls, seed heads: knots packed from the edge inwards.',
  params,
  needle: 'wrapping',
  hasDirection: false,
  followsCurves: true,
  isRaised: true,
  snags: true,
  start: 'Make two tiny stitches at the edge.',
  end: 'Weave the tail in among the knots on the back.',
  faults: [
    { fault: 'Cloth shows between knots', cure: 'A knot of one wrap closes the gap.' },
    { fault: 'Uneven knots', cure: 'When they are packed close, they even out.' },
  ],
  steps: [
    'Work a row of knots close together along the edge.',
    'Work the next row inside it, each knot in a hollow of the last row.',
    'Carry on inwards; close the last gaps with smaller knots.',
  ],
});
