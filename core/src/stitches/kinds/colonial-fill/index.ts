import { describeStitch } from '../../kind.ts';
import { KNOT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const colonialFill = describeStitch({
  ...KNOT_FILLING,
  id: 'colonial-fill',
  name: 'Colonial knot filling',
  inSentence: 'colonial knot filling',
  otherNames: ['candlewick ground', 'figure-of-eight filling'],
  purpose: 'Firm, even fleece and seed heads; quicker to work than French knots.',
  params,
  faults: [{ fault: 'Cloth shows between knots', cure: 'A French knot of one wrap closes the gap.' }],
});
