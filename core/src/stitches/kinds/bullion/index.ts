import { describeStitch } from '../../kind.ts';
import { RAISED_SPOT } from '../../shared/traits.ts';
import { params } from './params.ts';

export const bullion = describeStitch({
  ...RAISED_SPOT,
  findSeconds: 6,
  id: 'bullion',
  name: 'Bullion knot',
  inSentence: 'bullion knot',
  otherNames: ['caterpillar knot', 'coil stitch', 'grub knot'],
  purpose: 'Coils: petals, ears of corn, tentacles, small roses.',
  params,
  loosens: true,
  hasDirection: true,

  faults: [
    {
      fault: 'The coil is loose',
      cure: 'Push the wraps together on the needle before you pull it through.',
      lesson: 'knots',
    },
    {
      fault: 'The needle gets stuck',
      cure: 'Use a straight needle whose eye is no wider than its shaft, and turn it a little.',
    },
  ],
  steps: [
    'Come up at one end and go down at the other, leaving the thread slack.',
    'Come up again at the first end, but leave the needle in the cloth.',
    'Wind the thread round the point until the wraps are as long as the coil is to be.',
    'Hold the wraps, pull the needle through, and go down at the far end.',
  ],
});
