import { TINY_UNDER_CENTRE } from '../../shared/texts.ts';
import { describeStitch } from '../../kind.ts';
import { RAISED_SPOT } from '../../shared/traits.ts';
import { params } from './params.ts';

export const star = describeStitch({
  ...RAISED_SPOT,
  id: 'star',
  name: 'Star stitch',
  inSentence: 'star stitch',
  otherNames: ['straight-stitch star', 'sparkle'],
  purpose: 'Stars, snow, flower centres.',
  params,
  needle: 'sharp',
  hasDirection: true,
  isRaised: false,
  snags: false,
  start: TINY_UNDER_CENTRE,
  end: 'Weave the tail under the arms on the back.',
  faults: [{ fault: 'The centre piles up', cure: 'Use fewer arms or fewer strands.' }],
  steps: [
    'Come up at a point of the star.',
    'Go down in the centre.',
    'Come up at the next point and go down in the same centre.',
  ],
});
