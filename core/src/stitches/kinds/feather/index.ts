import { describeStitch } from '../../kind.ts';
import { KNOT_BESIDE_LINE, LOOP_STILL_ROUND, PULLED_IN, TAIL_BACK_UNDER_STITCHES } from '../../shared/texts.ts';
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
  start: KNOT_BESIDE_LINE,
  end: TAIL_BACK_UNDER_STITCHES,
  faults: [PULLED_IN, { fault: 'Loops too tight', cure: LOOP_STILL_ROUND }],
  steps: [
    'Come up on the line and hold the thread in a loop.',
    'Go down beside where you came up, to the left.',
    'Come up further along the line, inside the loop.',
    'Work the next loop to the right, then the left, and so on.',
  ],
});
