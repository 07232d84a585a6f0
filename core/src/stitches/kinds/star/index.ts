import { describeStitch } from '../../kind.ts';
import { RAISED_SPOT } from '../../shared/traits.ts';
import { params } from './params.ts';

export const star = describeStitch({
  ...RAISED_SPOT,
  id: 'star',
  name: 'Star stitch',
  otherNames: ['straight-stitch star', 'sparkle'],
  purpose: 'Stars, snow, flower middles.',
  params,
  needle: 'sharp',
  hasDirection: true,
  isRaised: false,
  snags: false,
  start: 'Two tiny stitches under the middle.',
  end: 'Weave the tail under the arms behind.',
  faults: [{ fault: 'The middle piles up', cure: 'Use fewer arms or fewer strands.' }],
  steps: [
    'Come up at a point of the star.',
    'Go down in the middle.',
    'Come up at the next point and go down in the same middle.',
  ],
});
