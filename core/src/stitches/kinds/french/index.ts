import { describeStitch } from '../../kind.ts';
import { RAISED_SPOT } from '../../shared/traits.ts';
import { params } from './params.ts';

export const french = describeStitch({
  ...RAISED_SPOT,
  id: 'french',
  name: 'French knot',
  otherNames: ['twisted knot', 'wound knot'],
  purpose: 'Round, raised dots: eyes, berries, seed heads.',
  params,
  faults: [
    { fault: 'The knot falls through', cure: 'Go down one thread of the cloth away from where you came up.' },
    { fault: 'The knot is loose', cure: 'Hold the thread taut until the needle is all but through.' },
    {
      fault: 'Knots of uneven size',
      cure: 'Wind with the same pull each time; in a mass they even out.',
      lesson: 'knots',
    },
  ],
  steps: [
    'Come up where the knot shall sit.',
    'Wind the thread round the needle, once or twice.',
    'Turn the point and go down one thread of the cloth away.',
    'Hold the thread taut and draw the needle through the windings.',
  ],
});
