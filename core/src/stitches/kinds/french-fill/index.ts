import { describeStitch } from '../../kind.ts';
import { KNOT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const frenchFill = describeStitch({
  ...KNOT_FILLING,
  id: 'french-fill',
  name: 'French knot filling',
  inSentence: 'French knot filling',
  otherNames: ['massed knots', 'knot ground'],
  purpose: 'Fleece, curls, seed heads: knots packed from the edge inwards.',
  params,
  faults: [
    { fault: 'Cloth shows between knots', cure: 'A knot of one wrap closes the gap.' },
    { fault: 'Uneven knots', cure: 'When they are packed close, they even out.' },
  ],
});
