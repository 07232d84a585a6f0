import { describeStitch } from '../../kind.ts';
import { RAISED_SPOT } from '../../shared/traits.ts';
import { params } from './params.ts';

export const seedPair = describeStitch({
  ...RAISED_SPOT,
  id: 'seed-pair',
  name: 'Paired seeds',
  inSentence: 'paired seeds',
  otherNames: ['double seed', 'twin rice stitch'],
  purpose: 'Seeds that show: two short stitches side by side.',
  params,
  needle: 'sharp',
  hasDirection: true,
  isRaised: false,
  snags: false,
  coverWidths: 2,
  start: 'Make two tiny stitches where the pair will cover them.',
  end: 'Fasten off after each pair that stands alone.',
  faults: [{ fault: 'The two stitches overlap', cure: 'Come up a thread’s width beside the first.' }],
  steps: ['Work a short straight stitch.', 'Work a second one close beside it.'],
});
