import { describeStitch } from '../../kind.ts';
import { LAID_THREAD, THORNS } from '../../shared/journeys.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';

export const thorn = describeStitch({
  ...FLAT_LINE,
  id: 'thorn',
  name: 'Thorn stitch',
  inSentence: 'thorn stitch',
  otherNames: ['thorned stem', 'crossed couching'],
  purpose: 'Briars, grasses, ears of corn: a long thread held down by pairs of thorns that cross over it.',
  params,
  secondThread: 'crosses over it',
  journeys: [LAID_THREAD, THORNS],
  laysThread: true,
  snags: true,
  loosens: true,
  start: 'A waste knot at the foot of the stem.',
  end: 'Weave the tail back along the stem, on the back.',
  faults: [{ fault: 'The stem wanders', cure: 'Hold it taut along the line until the next pair of thorns is in.' }],
  steps: [
    'Bring a long thread up at the start and hold it along the line; its end waits on the front.',
    'With the tying thread, come up to the left of it, cross over it backwards, and go down close on its right.',
    'Come up to the right, cross over it in the same place, and go down close on its left.',
    'Work the next pair further along; at the end, take the long thread down.',
  ],
});
