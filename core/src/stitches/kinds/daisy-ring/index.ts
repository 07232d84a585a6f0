import { describeStitch } from '../../kind.ts';
import { CATCHES_LOOP_SECONDS, RAISED_SPOT } from '../../shared/traits.ts';
import { params } from './params.ts';

export const daisyRing = describeStitch({
  ...RAISED_SPOT,
  findSeconds: CATCHES_LOOP_SECONDS,
  isRaised: false,
  id: 'daisy-ring',
  name: 'Daisy ring',
  inSentence: 'daisy ring',
  otherNames: ['ring of loops', 'loop flower'],
  purpose: 'Flowers and urchins: loops round a ring, evenly by its four quarters.',
  params,
  loosens: true,
  needle: 'sharp',
  hasDirection: true,
  start: 'Make two tiny stitches on the inner ring.',
  end: 'Weave the tail in on the back of the ring.',
  faults: [{ fault: 'Unevenly spaced petals', cure: 'Draw both rings and the quarter marks first.' }],
  steps: [
    'Draw two rings and mark the four quarters. The marks only guide your eye.',
    'Work the first loop at the top, from the inner ring out to the outer one, and tie it down.',
    'Fill one quarter evenly, then the next, all the way round.',
  ],
});
