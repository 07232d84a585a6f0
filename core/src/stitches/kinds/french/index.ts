import { DOWN_A_THREAD_AWAY } from '../../shared/texts.ts';
import { describeStitch } from '../../kind.ts';
import { RAISED_SPOT } from '../../shared/traits.ts';
import { params } from './params.ts';

export const french = describeStitch({
  ...RAISED_SPOT,
  id: 'french',
  name: 'French knot',
  inSentence: 'French knot',
  otherNames: ['twisted knot', 'wound knot'],
  purpose: 'Round, raised dots: eyes, berries, seed heads.',
  params,
  faults: [
    { fault: 'The knot falls through', cure: DOWN_A_THREAD_AWAY },
    { fault: 'The knot is loose', cure: 'Hold the thread taut until the needle is almost through.' },
    {
      fault: 'Uneven knots',
      cure: 'Wind with the same tension each time; packed close, knots even out.',
      lesson: 'knots',
    },
  ],
  steps: [
    'Come up where you want the knot.',
    'Wind the thread round the needle, once or twice.',
    'Turn the point and go down one thread of the cloth away.',
    'Hold the thread taut and pull the needle through the wraps.',
  ],
});
