import {
  KNOTS_ALONG_EDGE,
  KNOTS_INWARDS,
  KNOTS_IN_HOLLOWS,
  TAIL_AMONG_KNOTS,
  TINY_AT_EDGE,
} from '../../shared/texts.ts';
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
  start: TINY_AT_EDGE,
  end: TAIL_AMONG_KNOTS,
  faults: [
    { fault: 'Cloth shows between knots', cure: 'A knot of one wrap closes the gap.' },
    { fault: 'Uneven knots', cure: 'When they are packed close, they even out.' },
  ],
  steps: [KNOTS_ALONG_EDGE, KNOTS_IN_HOLLOWS, KNOTS_INWARDS],
});
