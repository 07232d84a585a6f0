import { describeStitch } from '../../kind.ts';
import { workKnots } from '../../shared/knot.ts';
import { params } from './params.ts';

export const french = describeStitch({
  id: 'french',
  name: 'French knot',
  otherNames: ['twisted knot', 'wound knot'],
  worksOn: 'spot',
  purpose: 'Round, raised dots: eyes, berries, seed heads.',
  params,
  needle: 'wrapping',
  usualStrands: 2,
  hasDirection: false,
  followsCurves: true,
  isRaised: true,
  snags: true,
  coverWidths: 3,
  start: 'Two tiny stitches under the place of the knot.',
  end: 'Fasten off behind each knot that stands alone.',
  faults: [
    { fault: 'The knot falls through', cure: 'Go down one thread of the cloth away from where you came up.' },
    { fault: 'The knot is loose', cure: 'Hold the thread taut until the needle is all but through.' },
    { fault: 'Knots of uneven size', cure: 'Wind with the same pull each time; in a mass they even out.' },
  ],
  steps: [
    'Come up where the knot shall sit.',
    'Wind the thread round the needle, once or twice.',
    'Turn the point and go down one thread of the cloth away.',
    'Hold the thread taut and draw the needle through the windings.',
  ],
  work: ({ spots }, values, { coreMm }, sink) => workKnots(spots, Math.round(values.wraps), coreMm, sink),
});
