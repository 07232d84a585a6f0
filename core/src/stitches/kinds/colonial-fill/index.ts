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
  start: TINY_AT_EDGE,
  end: TAIL_AMONG_KNOTS,
  faults: [{ fault: 'Cloth shows between knots', cure: 'A French knot of one wrap closes the gap.' }],
  steps: [KNOTS_ALONG_EDGE, KNOTS_IN_HOLLOWS, KNOTS_INWARDS],
});
