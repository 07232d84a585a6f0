import { describeStitch } from '../../kind.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const seed = describeStitch({
  ...FLAT_FILLING,
  id: 'seed',
  name: 'Seed stitch',
  otherNames: ['seeding', 'speckling', 'rice grain stitch'],
  purpose: 'A light scatter: sand, shade, far-off texture.',
  params,
  followsCurves: true,
  coverWidths: 0,
  start: 'Two tiny stitches on one spot, covered by the first seed.',
  end: 'Two tiny stitches under the last seed.',
  faults: [
    { fault: 'Seeds fall into rows', cure: 'Turn each one another way; look from arm’s length now and then.' },
    {
      fault: 'Thread shows through between seeds',
      cure: 'Take the nearest seed next, or fasten off and begin anew.',
      lesson: 'fastening-off',
    },
  ],
  steps: [
    'Come up anywhere in the shape.',
    'Go down a short stitch away, any direction.',
    'Come up near by and turn the next one another way.',
    'Keep them evenly apart.',
  ],
});
