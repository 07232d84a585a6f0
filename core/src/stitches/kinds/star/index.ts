import { describeStitch } from '../../kind.ts';
import { params } from './params.ts';
import { workStar } from './path.ts';

export const star = describeStitch({
  id: 'star',
  name: 'Star stitch',
  otherNames: ['straight-stitch star', 'sparkle'],
  worksOn: 'spot',
  purpose: 'Stars, snow, flower middles.',
  params,
  needle: 'sharp',
  usualStrands: 2,
  hasDirection: true,
  followsCurves: true,
  isRaised: false,
  snags: false,
  coverWidths: 3,
  start: 'Two tiny stitches under the middle.',
  end: 'Weave the tail under the arms behind.',
  faults: [{ fault: 'The middle piles up', cure: 'Use fewer arms or fewer strands.' }],
  steps: [
    'Come up at a point of the star.',
    'Go down in the middle.',
    'Come up at the next point and go down in the same middle.',
  ],
  work: (shape, values, context, sink) => workStar(shape, values, context, sink),
});
