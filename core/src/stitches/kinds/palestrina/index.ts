import { describeStitch } from '../../kind.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';
import { KNOT_BESIDE_LINE, THREAD_TWISTS } from '../../shared/texts.ts';

export const palestrina = describeStitch({
  ...FLAT_LINE,
  id: 'palestrina',
  name: 'Palestrina stitch',
  inSentence: 'Palestrina stitch',
  otherNames: ['double knot line', 'old knotted line'],
  purpose: 'Raised, knotted veins and outlines; the arms may be long.',
  params,
  needle: 'blunt',
  isRaised: true,
  snags: true,
  coverWidths: 2.6,
  start: KNOT_BESIDE_LINE,
  end: 'Go down beside the last knot and weave the tail in on the back.',
  faults: [{ fault: 'Uneven knots', cure: 'Pull both loops snug before you go on.' }, THREAD_TWISTS],
  steps: [
    'Come up on the line; go down one stitch ahead, a little above it, and come up straight below.',
    'Slide the needle under the bar from above, not through the cloth.',
    'Slide it under the bar once more, the thread under the point, and pull the knot snug.',
    'Carry on along the line from the knot.',
  ],
});
