import { describeStitch } from '../../kind.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const seed = describeStitch({
  ...FLAT_FILLING,
  id: 'seed',
  name: 'Seed stitch',
  inSentence: 'seed stitch',
  otherNames: ['seeding', 'speckling', 'rice grain stitch'],
  purpose: 'A light scatter: sand, shade, distant texture.',
  params,
  followsCurves: true,
  coverWidths: 0,
  start: 'Make two tiny stitches on one spot, covered by the first seed.',
  end: 'Make two tiny stitches under the last seed.',
  faults: [
    { fault: 'Seeds fall into rows', cure: 'Turn each one a different way; look from arm’s length now and then.' },
    {
      fault: 'Thread shows through between seeds',
      cure: 'Work the nearest seed next, or fasten off and start again.',
      lesson: 'fastening-off',
    },
  ],
  steps: [
    'Come up anywhere in the shape.',
    'Go down a short stitch away, any direction.',
    'Come up nearby and turn the next one a different way.',
    'Keep them evenly spaced.',
  ],
});
