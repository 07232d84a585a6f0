import { FASTEN_OFF_EACH } from '../../shared/texts.ts';
import { describeStitch } from '../../kind.ts';
import { RAISED_SPOT } from '../../shared/traits.ts';
import { params } from './params.ts';

export const straight = describeStitch({
  ...RAISED_SPOT,
  id: 'straight',
  name: 'Straight stitch',
  inSentence: 'straight stitch',
  otherNames: ['single satin stitch', 'stroke stitch'],
  purpose: 'Single strokes: highlights, whiskers, rays, thorns.',
  params,
  needle: 'sharp',
  hasDirection: true,
  isRaised: false,
  snags: false,
  coverWidths: 1,
  start: 'Make two tiny stitches where it will be covered.',
  end: FASTEN_OFF_EACH,
  faults: [{ fault: 'A long stitch gapes', cure: 'Tie it down in the middle, or work it as two.' }],
  steps: ['Come up at one end.', 'Go down at the other.'],
});
