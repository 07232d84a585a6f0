import { describeStitch } from '../../kind.ts';
import { PULLED_IN } from '../../shared/texts.ts';
import { CATCHES_LOOP_SECONDS, FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';

export const feather = describeStitch({
  ...FLAT_LINE,
  findSeconds: CATCHES_LOOP_SECONDS,
  id: 'feather',
  name: 'Feather stitch',
  inSentence: 'feather stitch',
  otherNames: ['coral branch', 'briar stitch'],
  purpose: 'Growth: weeds, sprigs, light open lines.',
  params,
  snags: true,
  start: 'A waste knot beside the line.',
  end: 'Weave the tail back under the stitches on the back.',
  faults: [PULLED_IN, { fault: 'Loops too tight', cure: 'Stop pulling while the loop is still round.' }],
  steps: [
    'Come up on the line and hold the thread in a loop.',
    'Go down beside where you came up, to the left.',
    'Come up further along the line, inside the loop.',
    'Work the next loop to the right, then the left, and so on.',
  ],
});
