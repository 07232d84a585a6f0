import { describeStitch } from '../../kind.ts';
import { RAISED_SPOT } from '../../shared/traits.ts';
import { params } from './params.ts';

export const seedPair = describeStitch({
  ...RAISED_SPOT,
  id: 'seed-pair',
  name: 'Paired seeds',
  otherNames: ['double seed', 'twin rice stitch'],
  purpose: 'Seeds that show: two short stitches side by side.',
  params,
  needle: 'sharp',
  hasDirection: true,
  isRaised: false,
  snags: false,
  coverWidths: 2,
  start: 'Two tiny stitches where the pair will cover them.',
  end: 'Fasten off behind each pair that stands alone.',
  faults: [{ fault: 'The two lie on each other', cure: 'Come up a thread’s width beside the first.' }],
  steps: ['Work a short straight stitch.', 'Work a second one close beside it.'],
});
