import { DOWN_A_THREAD_AWAY } from '../../shared/texts.ts';
import { describeStitch } from '../../kind.ts';
import { RAISED_SPOT } from '../../shared/traits.ts';
import { params } from './params.ts';

export const colonial = describeStitch({
  ...RAISED_SPOT,
  id: 'colonial',
  name: 'Colonial knot',
  inSentence: 'colonial knot',
  otherNames: ['figure-of-eight knot', 'candlewick knot'],
  purpose: 'Firm round dots with a dimple; quicker in rows than French knots.',
  params,
  faults: [{ fault: 'The knot falls through', cure: DOWN_A_THREAD_AWAY }],
  steps: [
    'Come up where you want the knot, and lay the thread in a small C.',
    'Put the needle under the thread, then wind the thread over and under it: a figure of eight.',
    'Go down one thread of the cloth away, pull the eight snug and draw the needle through.',
  ],
});
